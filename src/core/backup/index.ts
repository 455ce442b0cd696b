export type { BadBackup } from './bad-backup'
export { isDue, isMissed } from './due'
export { KEPT, keptDays } from './kept'

export { isClosed } from './closed'
export { asSeenBy, type Eyes, eyesOf } from './eyes'
export { closedTo, dutyOf, isSignOfLife, PAGES, type PagePattern, patternOf } from './pages'
export { groupedCode, PAIRING_BYTES, PAIRING_MINUTES, pairingCodeOf, plainPairingCode } from './pairing'
export type { Refused } from './refused'
export { DUTIES, type Duty, mayDo, type Role, STAFF_ROLES, type StaffRole } from './roles'
export { mayReach, type StaffRules } from './rules'
export {
  PASSPHRASE_LEAST,
  PASSPHRASE_MOST,
  type PassphraseFault,
  type PinFault,
  passphraseFault,
  pinFault,
  plainPassphrase,
} from './secrets'
export { IDLE_MINUTES, type SessionState, sessionState, TOUCHED_EVERY_SECONDS } from './session'
export { TOLD_FROM, type Tries, triesAgainAt, waitAfter } from './tries'

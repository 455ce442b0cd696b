import type { Migration } from './migration'

/** What was at fault with a place before it was good, so that saying “good” forgets nothing. */
export const whatWasFound: Migration = {
  name: '0029-what-was-found',
  statements: ['ALTER TABLE inspections ADD COLUMN found TEXT'],
}

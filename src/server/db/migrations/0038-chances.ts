import type { Migration } from './migration'

/** With which chance a car was promised. */
export const chances: Migration = {
  name: '0038-chances',
  statements: ['ALTER TABLE agreements ADD COLUMN chances TEXT'],
}

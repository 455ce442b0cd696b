import type { Migration } from './migration'

/** What leaves the shop for a step is due back at some time, as last said. */
export const away: Migration = {
  name: '0031-away',
  statements: ['ALTER TABLE progress ADD COLUMN due_back TEXT'],
}

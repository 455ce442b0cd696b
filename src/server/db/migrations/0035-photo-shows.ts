import type { Migration } from './migration'

/** A photograph may say which mark of its place it shows. */
export const photoShows: Migration = {
  name: '0035-photo-shows',
  statements: ['ALTER TABLE photos ADD COLUMN shows TEXT'],
}

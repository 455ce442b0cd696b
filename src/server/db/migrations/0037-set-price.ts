import type { Migration } from './migration'

/** What a pad or a towel costs, so that what a car wears out of them can be worked out. */
export const setPrice: Migration = {
  name: '0037-set-price',
  statements: ['ALTER TABLE supplies ADD COLUMN cents INTEGER NOT NULL DEFAULT 0 CHECK (cents >= 0)'],
}

import type { Migration } from './migration'

/** A quote keeps the words it was told in. */
export const toldQuotes: Migration = {
  name: '0018-told-quotes',
  statements: ['ALTER TABLE quotes ADD COLUMN told TEXT'],
}

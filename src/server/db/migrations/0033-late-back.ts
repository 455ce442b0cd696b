import type { Migration } from './migration'

/** A proposal may rest on something that comes back at another time than was said. */
export const lateBack: Migration = {
  name: '0033-late-back',
  statements: ['ALTER TABLE proposals ADD COLUMN late TEXT CHECK (late IS NULL OR json_valid(late))'],
}

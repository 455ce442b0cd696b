import type { Migration } from './migration'

/** With a proposed plan, the work that changes with it: a wash moved inside, a step that takes longer. */
export const changedWork: Migration = {
  name: '0007-changed-work',
  statements: ['ALTER TABLE proposals ADD COLUMN plans TEXT CHECK (plans IS NULL OR json_valid(plans))'],
}

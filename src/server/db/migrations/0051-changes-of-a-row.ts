import type { Migration } from './migration'

/** What was changed of one record is asked for by its page. */
export const changesOfARow: Migration = {
  name: '0051-changes-of-a-row',
  statements: ['CREATE INDEX row_changes_by_row ON row_changes (of_table, row_key)'],
}

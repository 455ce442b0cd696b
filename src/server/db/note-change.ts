import type { Knex } from 'knex'

/**
 * Keeps what stood before and after of something that is written as a whole, such as the calendar of a car, as the database does of single rows;
 * the entry of the journal under which it was done takes it over. Nothing where nothing is different.
 */
export async function noteChange(
  trx: Knex,
  { of, key }: { of: string; key: string },
  before: Record<string, unknown> = {},
  after: Record<string, unknown> = {},
): Promise<void> {
  const row = { of_table: of, row_key: key, before: JSON.stringify(before), after: JSON.stringify(after) }
  if (row.before !== row.after) await trx('row_changes').insert(row)
}

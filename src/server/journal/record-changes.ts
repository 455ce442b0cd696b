import type { Knex } from 'knex'
import { type ChangedField, changedFields } from '@/core/journal'
import type { Role } from '@/core/staff'
import { type Instant, instantOrThrow } from '@/core/time'

/** What was changed of one record, or of all records of a kind. */

export type Watched = {
  /** The table it stands in. */
  of: string
  /** Its key there; all of them where nothing is said. */
  key?: string
  /** Only what lies under these parts, such as the prices of the shop; all of it where nothing is said. */
  parts?: readonly string[]
}

export type RecordChange = {
  at: Instant
  role: Role
  who?: string
  fields: { of: string; field: ChangedField }[]
}

/** A record whose parts are asked for may have changed so often elsewhere since. */
const LOOKED_THROUGH = 200

/** The latest changes first, at most `most`. What changed outside the app is told by the journal’s own check. */
export async function changesOfRecords(
  db: Knex,
  watched: readonly Watched[],
  most: number,
): Promise<RecordChange[]> {
  const rows = await db('row_changes')
    .join('action_journal as entry', 'entry.position', 'row_changes.position')
    .where((any) => {
      for (const { of, key } of watched)
        any.orWhere(key === undefined ? { of_table: of } : { of_table: of, row_key: key })
    })
    .orderBy('row_changes.id', 'desc')
    .limit(LOOKED_THROUGH)
    .select('of_table', 'before', 'after', 'entry.position', 'entry.at', 'entry.role', 'entry.who')
  const changes = new Map<number, RecordChange>()
  for (const row of rows) {
    const parts = watched.flatMap((each) => (each.of === row.of_table && each.parts ? each.parts : []))
    const fields = changedFields(JSON.parse(row.before), JSON.parse(row.after))
      .filter(({ path }) => parts.length === 0 || path.slice(0, 2).some((part) => parts.includes(part)))
      .map((field) => ({ of: row.of_table, field }))
    if (fields.length === 0) continue
    const known = changes.get(row.position)
    if (known) known.fields.push(...fields)
    else if (changes.size < most)
      changes.set(row.position, {
        at: instantOrThrow(row.at),
        role: row.role as Role,
        ...(row.who ? { who: row.who } : {}),
        fields,
      })
  }
  return [...changes.values()]
}

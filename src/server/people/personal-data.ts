import type { Knex } from 'knex'
import type { CustomerId } from '@/core/ids'
import type { Instant } from '@/core/time'
import type { ArchiveFile } from '../data/archive'
import { opened } from '../data/take-along'
import { readPhoto } from '../photos/photo-files'
import { reachedBy } from './reached'

/** All that is held of a customer, in a form any program reads (GDPR, Art. 15 and 20). */

export const PERSONAL_FORMAT = 'fern-yard/personal@1'

/** Their private addresses are kept as hashes, which tell nobody anything. */
const NOT_TOLD = new Set(['owner_links', 'private_links'])

export async function* personalData(
  db: Knex,
  customer: CustomerId,
  at: Instant,
): AsyncGenerator<ArchiveFile> {
  const reached = await reachedBy(db, customer)
  const tables = Object.fromEntries(
    [...reached]
      .filter(([table, rows]) => rows.length > 0 && !NOT_TOLD.has(table))
      .map(([table, rows]) => [
        table,
        rows.map(({ row }) =>
          Object.fromEntries(Object.entries(row).map(([column, value]) => [column, opened(value)])),
        ),
      ]),
  )
  const told = { format: PERSONAL_FORMAT, writtenAt: at, tables }
  yield { name: 'personal-data.json', bytes: new TextEncoder().encode(JSON.stringify(told, undefined, 1)) }
  for (const hash of new Set((reached.get('photos') ?? []).map(({ row }) => String(row.hash)))) {
    const bytes = await readPhoto(hash, 'full')
    if (bytes) yield { name: `photos/${hash}.jpg`, bytes, packed: true }
  }
}

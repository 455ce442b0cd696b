import type { Knex } from 'knex'
import type { Entry } from '@/core/card'
import type { JobId } from '@/core/ids'
import { type Instant, instantOrThrow } from '@/core/time'
import type { ActsRow } from '../db/tables'

/** The journal of what was done at the cars: every act that was taken, once, in the order in which they were. */

// What was checked when it came in is not checked again when it is read.
const toEntry = (row: ActsRow): Entry => ({
  ...JSON.parse(row.act),
  id: row.id,
  job: row.job_id,
  by: row.by_person,
  at: instantOrThrow(row.at),
})

export async function loadEntries(db: Knex, jobId: JobId): Promise<Entry[]> {
  const rows: ActsRow[] = await db('acts').where({ job_id: jobId }).orderBy('position')
  return rows.map(toEntry)
}

/** When the last act of a tablet was; undefined where it has not told of any. */
export async function lastActAt(db: Knex, device: string): Promise<Instant | undefined> {
  const row = await db('acts').where({ device }).orderBy('position', 'desc').first('at')
  return row && instantOrThrow(row.at)
}

export async function writeAct(trx: Knex, entry: Entry, device: string, receivedAt: Instant): Promise<void> {
  const { id, job, by, at, ...act } = entry
  await trx('acts').insert({
    id,
    job_id: job,
    by_person: by,
    at,
    act: JSON.stringify(act),
    device,
    received_at: receivedAt,
  })
}

import type { Knex } from 'knex'
import type { ActKind, Entry } from '@/core/card'
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

/** The entries of those of these jobs on whose card there is an act of this kind. */
export async function entriesWith(
  db: Knex,
  kind: ActKind,
  jobIds: readonly JobId[],
): Promise<Map<JobId, Entry[]>> {
  const having = db('acts')
    .whereIn('job_id', [...jobIds])
    .whereRaw("json_extract(act, '$.kind') = ?", [kind])
    .select('job_id')
  const rows: ActsRow[] = await db('acts').whereIn('job_id', having).orderBy('position')
  const byJob = new Map<JobId, Entry[]>()
  for (const row of rows) byJob.set(row.job_id, [...(byJob.get(row.job_id) ?? []), toEntry(row)])
  return byJob
}

/** When the last act of a tablet was; undefined where it has not told of any. */
export async function lastActAt(db: Knex, device: string): Promise<Instant | undefined> {
  const row = await db('acts').where({ device }).orderBy('position', 'desc').first('at')
  return row && instantOrThrow(row.at)
}

/** What was put on the list of what came off this car, by the act that put it there. */
export async function listedParts(db: Knex, jobId: JobId): Promise<Map<string, string>> {
  const rows: { id: string; name: string }[] = await db('acts')
    .where({ job_id: jobId })
    .whereRaw("json_extract(act, '$.kind') = 'part-off'")
    .select('id', db.raw("json_extract(act, '$.name') as name"))
  return new Map(rows.map(({ id, name }) => [id, name]))
}

/** Whether something was put on the list of what came off this car by this act. */
export const isListedPart = async (db: Knex, jobId: JobId, act: string): Promise<boolean> =>
  (await listedParts(db, jobId)).has(act)

/** When an act of this kind was last done at a car; undefined where none was. */
export async function lastActAtCar(db: Knex, jobId: JobId, kind: ActKind): Promise<Instant | undefined> {
  const row = await db('acts')
    .where({ job_id: jobId })
    .whereRaw("json_extract(act, '$.kind') = ?", [kind])
    .orderBy('position', 'desc')
    .first('at')
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

import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import type { QueueEntry, Why } from '@/core/queue'
import { type Instant, instantOrThrow } from '@/core/time'
import type { RefusedEntriesRow } from '../db/tables'

/** What tablets sent and the shop did not take: nothing that was done at a car is thrown away. */
export type RefusedEntry = {
  id: string
  device: string
  at: Instant
  jobId?: JobId
  entry: QueueEntry
  why: Why
}

const toRefused = (row: RefusedEntriesRow): RefusedEntry => ({
  id: row.id,
  device: row.device,
  at: instantOrThrow(row.at),
  ...(row.job_id ? { jobId: row.job_id } : {}),
  // Both were checked when they were written.
  entry: JSON.parse(row.entry) as QueueEntry,
  why: JSON.parse(row.why) as Why,
})

export async function keepRefused(trx: Knex, refused: RefusedEntry): Promise<void> {
  const { id, device, at, jobId, entry, why } = refused
  await trx('refused_entries')
    .insert({
      id,
      device,
      at,
      job_id: jobId ?? null,
      entry: JSON.stringify(entry),
      why: JSON.stringify(why),
    })
    .onConflict('id')
    .ignore()
}

export async function findRefused(db: Knex, ids: readonly string[]): Promise<Map<string, RefusedEntry>> {
  const rows: RefusedEntriesRow[] = await db('refused_entries').whereIn('id', [...ids])
  return new Map(rows.map((row) => [row.id, toRefused(row)]))
}

/** A page of what nobody has read yet, the newest first. */
export async function unreadRefused(db: Knex, most = 20): Promise<RefusedEntry[]> {
  const rows: RefusedEntriesRow[] = await db('refused_entries')
    .whereNull('read_at')
    .orderBy('at', 'desc')
    .limit(most)
  return rows.map(toRefused)
}

/** Somebody has read it. False where there is none of that id. */
export async function markRefusedRead(trx: Knex, id: string, at: Instant): Promise<boolean> {
  return (await trx('refused_entries').where({ id }).whereNull('read_at').update({ read_at: at })) > 0
}

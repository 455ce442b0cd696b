import type { Knex } from 'knex'
import {
  type Conflict,
  type Entry,
  newIn,
  type Outcome,
  onShopClock,
  type Reply,
  type Waiting,
} from '@/core/card'
import { actSchema } from '@/core/card/act-schema'
import type { Instant } from '@/core/time'

/** The journal of what was done at the cars: every act that ever arrived, once, with what became of it. */

export type ActRow = {
  id: string
  job_id: string
  by_person: string
  at: Instant
  act: string
  conflict: string | null
}

// What was checked when it came in is not checked again when it is read.
const toEntry = (row: ActRow): Entry => ({
  ...JSON.parse(row.act),
  id: row.id,
  job: row.job_id,
  by: row.by_person,
  at: row.at,
})

/** The acts of a job that were taken, in the order in which they were. */
export async function loadEntries(db: Knex, jobId: string): Promise<Entry[]> {
  const rows: ActRow[] = await db('acts').where({ job_id: jobId }).whereNull('conflict').orderBy('position')
  return rows.map(toEntry)
}

/** Acts of a job that were not taken, with why: nothing that was done at a car is thrown away. */
export async function loadRefused(db: Knex, jobId: string): Promise<{ entry: Entry; conflict: Conflict }[]> {
  const rows: ActRow[] = await db('acts')
    .where({ job_id: jobId })
    .whereNotNull('conflict')
    .orderBy('position')
  return rows.map((row) => ({ entry: toEntry(row), conflict: JSON.parse(row.conflict!) }))
}

/** The number the shop waits for next from a tablet. */
export async function nextNumber(db: Knex, device: string): Promise<number> {
  return (await db('devices').where({ id: device }).first())?.next ?? 1
}

/** A batch as it came in; its acts are not yet read. */
export type ReceivedBatch = { device: string; deviceNow: number; waiting: readonly Unread[] }
type Unread = Omit<Waiting, 'act'> & { act: unknown }

/**
 * Takes what is new in a batch, in order, in one transaction; `take` decides on each entry and writes what follows from
 * it. What arrives again is answered as it was the first time.
 */
export async function receiveBatch(
  db: Knex,
  batch: ReceivedBatch,
  now: Instant,
  take: (trx: Knex, entry: Entry) => Promise<Conflict | undefined>,
  /** What follows from the batch as a whole, in the same transaction. */
  after: (trx: Knex) => Promise<void>,
): Promise<Reply<Conflict>> {
  return db.transaction(async (trx) => {
    const next = await nextNumber(trx, batch.device)
    const fresh = newIn(batch, next)
    for (const waiting of fresh) await takeOne(trx, batch, waiting, now, take)
    await after(trx)
    const upTo = next + fresh.length
    await trx('devices').insert({ id: batch.device, next: upTo }).onConflict('id').merge()
    const told = batch.waiting.filter(({ number }) => number < upTo)
    return { next: upTo, outcomes: await outcomesOf(trx, told) }
  })
}

async function takeOne(
  trx: Knex,
  { device, deviceNow }: ReceivedBatch,
  { id, job, by, deviceAt, act }: Unread,
  now: Instant,
  take: (trx: Knex, entry: Entry) => Promise<Conflict | undefined>,
): Promise<void> {
  if (await trx('acts').where({ id }).first()) return
  const at = onShopClock(deviceAt, deviceNow, now)
  // An act that cannot be read must not hold up those behind it; it is kept, and the tablet is told.
  const read = actSchema.safeParse(act)
  const conflict: Conflict | undefined = read.success
    ? await trx.transaction((own) => take(own, { ...read.data, id, job, by, at })).catch(refusedByRule)
    : { code: 'malformed', what: read.error.issues[0]!.message }
  await trx('acts').insert({
    id,
    job_id: job,
    by_person: by,
    at,
    act: JSON.stringify(act),
    device,
    received_at: now,
    conflict: conflict ? JSON.stringify(conflict) : null,
  })
}

/** What a rule of the database refuses is refused for good: sent again it would only hold up what comes behind it. */
function refusedByRule(error: unknown): Conflict {
  const code = error instanceof Error && 'code' in error ? String(error.code) : ''
  if (!code.startsWith('SQLITE_CONSTRAINT')) throw error
  return { code: 'malformed', what: 'it contradicts what is recorded' }
}

async function outcomesOf(db: Knex, waiting: readonly Unread[]): Promise<Outcome<Conflict>[]> {
  const rows: ActRow[] = await db('acts').whereIn(
    'id',
    waiting.map(({ id }) => id),
  )
  const byId = new Map(rows.map((row) => [row.id, row.conflict]))
  return waiting.map(({ id, number }) => {
    const conflict = byId.get(id)
    return conflict
      ? { id, number, taken: false, conflict: JSON.parse(conflict) }
      : { id, number, taken: true }
  })
}

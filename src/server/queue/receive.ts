import type { Knex } from 'knex'
import { z } from 'zod'
import { done } from '@/core/answer'
import { ask } from '@/core/asks'
import { CARD_ACTION, type Conflict, type Entry } from '@/core/card'
import { actSchema } from '@/core/card/act-schema'
import { toJobId, toPersonId } from '@/core/ids'
import { newIn, type QueueEntry, type QueueOutcome, type Why } from '@/core/queue'
import { mayDo } from '@/core/staff'
import { type Instant, instantOf } from '@/core/time'
import type { Caller } from '../action/caller'
import { said } from '../action/in-words'
import { forgetStrayChanges, hashOf, writeEntry } from '../action/journal'
import { perform } from '../action/perform'
import { NoRoom } from '../db/no-room'
import { lastActAt, writeAct } from '../work/acts-store'
import { takeEntry } from '../work/at-the-car'
import { noteHandedOn } from '../work/handed-on'
import { noteTrainee } from '../work/to-confirm'
import { queueable } from './queueable'
import { findRefused, keepRefused } from './refused-store'

/** Takes what tablets send: each entry once and in order, each with all that follows from it or not at all. */

const id = z.string().min(8).max(80)
/** Nothing that is done at a car is longer, characters. */
const ENTRY_MOST = 20_000

const common = { id, number: z.int().min(1), ago: z.number().min(0) }
const short = z.string().min(1).max(80)

const entrySchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...common,
    kind: z.literal('act'),
    job: short.transform(toJobId),
    by: short.transform(toPersonId),
    act: z.record(z.string(), z.unknown()),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('call'),
    action: short,
    input: z.unknown(),
    about: z.string().max(200),
    by: short.transform(toPersonId).optional(),
  }),
])

/** A tablet that was away for a day sends what it has in pieces of this many. */
export const BATCH_MOST = 400

export const batchSchema = z.strictObject({
  device: id,
  waiting: z
    .array(entrySchema)
    .max(BATCH_MOST)
    .refine((waiting) => waiting.every((entry) => JSON.stringify(entry).length <= ENTRY_MOST), {
      message: ask('long-entry'),
    }),
})
type Received = z.infer<typeof batchSchema>
type ReceivedEntry = Received['waiting'][number]

/** The number the shop waits for next from a tablet. */
export async function nextNumber(db: Knex, device: string): Promise<number> {
  return (await db('devices').where({ id: device }).first())?.next ?? 1
}

export async function setNext(trx: Knex, device: string, next: number): Promise<void> {
  await trx('devices').insert({ id: device, next }).onConflict('id').merge()
}

export type Taken = { next: number; outcomes: QueueOutcome[] }

/** Takes a batch, in one transaction. What arrives again is answered as it was the first time. */
export async function receiveBatch(db: Knex, batch: Received, now: Instant, caller: Caller): Promise<Taken> {
  return db.transaction(async (trx) => {
    const next = await nextNumber(trx, batch.device)
    const fresh = newIn(batch, next)
    let last = next > 1 ? await lastActAt(trx, batch.device) : undefined
    for (const entry of fresh) last = await takeOne(trx, batch.device, entry, { now, last, caller })
    const upTo = next + fresh.length
    await setNext(trx, batch.device, upTo)
    const told = batch.waiting.filter(({ number }) => number < upTo)
    return { next: upTo, outcomes: await outcomesOf(trx, told) }
  })
}

/** How much two sendings may disagree about the time, ms: one was longer on its way than the other. */
const SLIP_MS = 5_000

/** When an entry was. One that comes behind another of its tablet was not before it. */
export function timeOf(ago: number, now: Instant, last: Instant | undefined): Instant {
  const at = instantOf(new Date(Date.parse(now) - ago))
  const slip = last ? Date.parse(last) - Date.parse(at) : 0
  return last && slip > 0 && slip <= SLIP_MS ? last : at
}

/** Takes one entry, or keeps why not; gives when it was. */
async function takeOne(
  trx: Knex,
  device: string,
  received: ReceivedEntry,
  { now, last, caller }: { now: Instant; last: Instant | undefined; caller: Caller },
): Promise<Instant> {
  const at = timeOf(received.ago, now, last)
  const [known] = await knownOutcomes(trx, [received])
  if (known) return last ?? at
  const why = await (received.kind === 'act'
    ? takeAct(trx, device, received, { at, now, caller })
    : takeCall(trx, received, at, { ...caller, device }))
  if (!why) return at
  const { number: _, ago: __, ...entry } = received
  const jobId = received.kind === 'act' ? received.job : undefined
  await keepRefused(trx, {
    id: received.id,
    device,
    at,
    ...(jobId ? { jobId } : {}),
    entry: entry as QueueEntry,
    why,
  })
  return last ?? at
}

async function takeAct(
  trx: Knex,
  device: string,
  { id: own, job, by, act }: Extract<ReceivedEntry, { kind: 'act' }>,
  { at, now, caller }: { at: Instant; now: Instant; caller: Caller },
): Promise<Why | undefined> {
  if (!mayDo(caller.role, 'floor'))
    return { kind: 'words', message: await said(trx, ask('not-for-you-to-do')) }
  const read = actSchema.safeParse(act)
  // An act that cannot be read must not hold up those behind it; it is kept, and the tablet is told.
  if (!read.success) return card({ code: 'malformed', what: await said(trx, read.error.issues[0]!.message) })
  const entry: Entry = { ...read.data, id: own, job, by, at }
  const conflict = await trx
    .transaction(async (inner) => {
      await forgetStrayChanges(inner)
      const found = await takeEntry(inner, entry, now)
      if (found) return found
      await writeAct(inner, entry, device, now)
      await noteTrainee(inner, entry, caller)
      await noteHandedOn(inner, { id: own, by, at, jobId: job }, caller)
      await writeEntry(inner, {
        // Ids of a queue may be longer than the keys of the journal.
        key: own.length > 64 ? hashOf(own) : own,
        action: `${CARD_ACTION}${read.data.kind}`,
        caller: { ...caller, device },
        at,
        input: { job, by, ...read.data },
        answer: done(),
        secret: false,
      })
      return found
    })
    .catch((error: unknown) => refusedByRule(trx, error))
  return conflict && card(conflict)
}

const card = (conflict: Conflict): Why => ({ kind: 'card', conflict })

async function takeCall(
  trx: Knex,
  { id: key, action, input, by }: Extract<ReceivedEntry, { kind: 'call' }>,
  at: Instant,
  caller: Caller,
): Promise<Why | undefined> {
  const definition = queueable(action)
  if (!definition) return { kind: 'words', message: await said(trx, ask('not-from-a-tablet')) }
  const answer = await perform(trx, definition, { key, input }, { caller, at })
  if (!answer.ok && answer.code === 'no-room') throw new NoRoom()
  if (!answer.ok) return { kind: 'words', message: answer.message }
  const { data: of } = ofAJob.safeParse(input)
  await noteHandedOn(trx, { id: key, by, at, jobId: of?.jobId }, caller)
  return undefined
}

const ofAJob = z.object({ jobId: short.transform(toJobId) })

/** What a rule of the database refuses is refused for good: sent again it would only hold up what comes behind it. */
async function refusedByRule(trx: Knex, error: unknown): Promise<Conflict> {
  const code = error instanceof Error && 'code' in error ? String(error.code) : ''
  if (!code.startsWith('SQLITE_CONSTRAINT')) throw error
  return { code: 'malformed', what: await said(trx, ask('contradicts')) }
}

/** What became of entries whose numbers are past: only what is written somewhere was taken. */
async function outcomesOf(db: Knex, entries: readonly ReceivedEntry[]): Promise<QueueOutcome[]> {
  const known = await knownOutcomes(db, entries)
  const why: Why = { kind: 'words', message: await said(db, ask('no-record')) }
  return entries.map(({ id: own, number }, at) => known[at] ?? { id: own, number, taken: false, why })
}

/** What is written of entries; undefined for one of which nothing is. */
async function knownOutcomes(
  db: Knex,
  entries: readonly ReceivedEntry[],
): Promise<(QueueOutcome | undefined)[]> {
  const ids = entries.map((entry) => entry.id)
  const acts = new Set<string>((await db('acts').whereIn('id', ids).select('id')).map((row) => row.id))
  const calls = new Map<string, string>(
    (await db('action_journal').whereIn('key', ids).select('key', 'answer')).map((row) => [
      row.key,
      row.answer,
    ]),
  )
  const refused = await findRefused(db, ids)
  return entries.map(({ id: own, number }): QueueOutcome | undefined => {
    if (acts.has(own)) return { id: own, number, taken: true }
    const answer = calls.get(own)
    if (answer !== undefined) return { id: own, number, taken: true, value: JSON.parse(answer).value }
    const why = refused.get(own)?.why
    return why && { id: own, number, taken: false, why }
  })
}

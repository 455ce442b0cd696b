import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { z } from 'zod'
import { type Answer, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toJobId, toVehicleId } from '@/core/ids'
import type { Instant } from '@/core/time'
import type { ActionJournalRow, RowChangesRow } from '../db/tables'
import type { Caller } from './caller'
import { subjectOf, subjectOfChanges } from './subject'

/** The journal of actions: what was done once under a key, and what it answered. */

/** An input larger than this stays out of the journal; its hash stands there all the same, characters. */
const KEPT_INPUT = 16_384

export type Entry = {
  key: string
  action: string
  caller: Caller
  at: Instant
  input: unknown
  answer: Answer<unknown>
  /** What it answered may be seen once only, such as the address of a private page. */
  secret: boolean
}

export const hashOf = (input: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(input) ?? '')
    .digest('hex')

/** What was answered under this key before; a refusal where the key belongs to something else. */
export async function answeredBefore(
  db: Knex,
  { key, action, input }: Pick<Entry, 'key' | 'action' | 'input'>,
): Promise<Answer<unknown> | undefined> {
  const row = await db('action_journal').where({ key }).first()
  if (!row) return undefined
  if (row.action !== action || row.input_hash !== hashOf(input)) return keyUsed()
  if (row.secret === 1) return refuse('shown-once', ask('shown-once'))
  return JSON.parse(row.answer) as Answer<unknown>
}

const keyUsed = (): Refusal => refuse('key-used', ask('key-of-another'))

/** What of an entry is under its seal, in this order. */
const SEALED = [
  'key',
  'action',
  'role',
  'account_id',
  'who',
  'device',
  'at',
  'input_hash',
  'input',
  'answer',
] as const
/** `changes_hash` is of what stood before and after; null in entries from before that was under the seal. */
export type Sealed = Pick<ActionJournalRow, (typeof SEALED)[number] | 'changes_hash'>

/** The seal of an entry: a hash of what it says and of the seal before it, so that none can be changed or left out unseen. */
export const chained = (before: string | null, row: Sealed): string =>
  hashOf([
    before,
    ...SEALED.map((column) => row[column]),
    ...(row.changes_hash === null ? [] : [row.changes_hash]),
  ])

type Change = Pick<RowChangesRow, 'of_table' | 'row_key' | 'before' | 'after'>

const hashOfChanges = (changes: readonly Change[]): string =>
  hashOf(changes.map(({ of_table, row_key, before, after }) => [of_table, row_key, before, after]))

export async function writeEntry(trx: Knex, entry: Entry): Promise<void> {
  const input = JSON.stringify(entry.input) ?? 'null'
  const before = await trx('action_journal').orderBy('position', 'desc').first('chain')
  const named = subjectOf(entry.input, entry.answer.ok ? entry.answer.value : undefined)
  const { job_id, vehicle_id } = named.job_id || named.vehicle_id ? named : await subjectOfChanges(trx)
  const row = {
    key: entry.key,
    action: entry.action,
    role: entry.caller.role,
    account_id: entry.caller.account ?? null,
    who: entry.caller.name ?? null,
    device: entry.caller.device ?? entry.caller.paired ?? null,
    job_id: job_id ? toJobId(job_id) : null,
    vehicle_id: vehicle_id ? toVehicleId(vehicle_id) : null,
    at: entry.at,
    input_hash: hashOf(entry.input),
    input: entry.secret || input.length > KEPT_INPUT ? null : input,
    answer: JSON.stringify(entry.secret ? { ok: true, value: null } : entry.answer),
    secret: entry.secret ? (1 as const) : (0 as const),
    changes_hash: hashOfChanges(await trx('row_changes').whereNull('position').orderBy('id')),
  }
  const [written] = await trx('action_journal')
    .insert({ ...row, chain: chained(before?.chain ?? null, row) })
    .returning('position')
  // What the database kept of the rows this changed belongs to it from now on.
  await trx('row_changes').whereNull('position').update({ position: written!.position })
}

/** What was changed under no entry, by the app for its own working, is nobody's deed. */
export const forgetStrayChanges = async (trx: Knex): Promise<void> => {
  await trx('row_changes').whereNull('position').delete()
}

export type Broken = { position: number; why: 'changed' | 'missing' }

/**
 * Looks whether every entry is as it was written, with what stood before and after, and none is missing between two. What was cut off at the
 * end leaves no trace in what is left: the last seal of a backup tells that. Entries from before there were seals are passed over.
 */
export async function verifyJournal(
  db: Knex,
): Promise<{ entries: number; last: string | null; broken?: Broken }> {
  const emptied = await emptiedEntries(db)
  let before: { position: number; chain: string | null } | undefined
  let entries = 0
  for (;;) {
    const rows = await db('action_journal')
      .where('position', '>', before?.position ?? 0)
      .orderBy('position')
      .limit(VERIFIED_AT_ONCE)
    if (rows.length === 0) return { entries, last: before?.chain ?? null }
    const changes = await db('row_changes')
      .whereBetween('position', [rows[0]!.position, rows.at(-1)!.position])
      .orderBy('id')
    const changesOf = grouped(changes)
    for (const row of rows) {
      const isSealed = row.chain !== null || (before?.chain ?? null) !== null
      if (before && isSealed && row.position !== before.position + 1)
        return { entries, last: before.chain, broken: { position: before.position + 1, why: 'missing' } }
      const isEmptied = row.input === null && emptied.entries.has(row.position)
      const isChanged =
        row.changes_hash !== null &&
        !emptied.changes.has(row.position) &&
        row.changes_hash !== hashOfChanges(changesOf.get(row.position) ?? [])
      if (isSealed && ((!isEmptied && row.chain !== chained(before?.chain ?? null, row)) || isChanged))
        return { entries, last: before?.chain ?? null, broken: { position: row.position, why: 'changed' } }
      before = { position: row.position, chain: row.chain }
      entries++
    }
  }
}

function grouped(changes: readonly RowChangesRow[]): Map<number | null, RowChangesRow[]> {
  const groups = new Map<number | null, RowChangesRow[]>()
  for (const change of changes) groups.set(change.position, [...(groups.get(change.position) ?? []), change])
  return groups
}

const VERIFIED_AT_ONCE = 1000

type Emptied = { entries: ReadonlySet<number>; changes: ReadonlySet<number> }

/** What was emptied with the customer it was about: whoever erased them stands in the journal, and under a seal. */
async function emptiedEntries(db: Knex): Promise<Emptied> {
  const rows: string[] = await db('action_journal').where({ action: 'customers.erase' }).pluck('answer')
  const answers = rows.map((answer) => emptiedSchema.parse(JSON.parse(answer)).value)
  return {
    entries: new Set(answers.flatMap(({ journal }) => journal)),
    changes: new Set(answers.flatMap(({ changes }) => changes)),
  }
}

const positions = z.array(z.int())
const emptiedSchema = z.object({ value: z.object({ journal: positions, changes: positions.default([]) }) })

import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { type Answer, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import type { Instant } from '@/core/time'
import type { Caller } from './caller'

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

export async function writeEntry(trx: Knex, entry: Entry): Promise<void> {
  const input = JSON.stringify(entry.input) ?? 'null'
  await trx('action_journal').insert({
    key: entry.key,
    action: entry.action,
    role: entry.caller.role,
    device: entry.caller.device ?? null,
    at: entry.at,
    input_hash: hashOf(entry.input),
    input: entry.secret || input.length > KEPT_INPUT ? null : input,
    answer: JSON.stringify(entry.secret ? { ok: true, value: null } : entry.answer),
    secret: entry.secret ? 1 : 0,
  })
}

import type { Knex } from 'knex'
import { z } from 'zod'
import { type Answer, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { type Duty, mayDo } from '@/core/staff'
import type { Instant } from '@/core/time'
import { isFull } from '../db/no-room'
import { faultFacts, log } from '../log'
import { askToPlan } from '../planning/plan-requests'
import type { Caller } from './caller'
import { inWords } from './in-words'
import { answeredBefore, forgetStrayChanges, writeEntry } from './journal'

/** What an action is given to write with: everything it does is one transaction, at one moment. */
export type Doing = {
  trx: Knex
  at: Instant
  caller: Caller
  /** Who it turned out to be, where whoever asked has just said so: the journal names them. */
  isBy: (who: Pick<Caller, 'account' | 'name'>) => void
  /** The key it was sent under: what it makes may bear it as its own id. */
  key: string
  /** Asks for a new plan in the same transaction; the planner takes it up after the commit. All may move without `jobs`. */
  replan: (cause: string, jobs?: readonly string[]) => Promise<void>
}

export type ActionDefinition<Schema extends z.ZodType, Value, Prepared = undefined> = {
  /** Subject and deed, as in `handover.record-payment`. It stands in the journal: never reuse one. */
  name: string
  who: Duty
  input: Schema
  /** What it gives may be seen only once. */
  secret?: boolean
  /** What is sent holds a passphrase or a PIN: neither it nor a hash of it is written anywhere. */
  hushed?: boolean
  /** Longer inputs are refused unread, characters of JSON. */
  mostInput?: number
  /** What takes long and writes nothing is worked out before the transaction; `write` checks that it still holds. */
  prepare?: (asking: { db: Knex; at: Instant; caller: Caller }, input: z.output<Schema>) => Promise<Prepared>
  write: (doing: Doing, input: z.output<Schema>, prepared: Prepared) => Promise<Answer<Value>>
}

/** An action that is not called from a page but from a route of its own: it is given to `perform` there. */
export const defineWrite = <Schema extends z.ZodType, Value, Prepared = undefined>(
  definition: ActionDefinition<Schema, Value, Prepared>,
): ActionDefinition<Schema, Value, Prepared> => definition

/** Enough for any form; what needs more says so. */
const MOST_INPUT = 100_000

const keySchema = z.string().min(8).max(64)

/** Thrown inside a transaction to undo it: nothing of a refused action stays. */
class Undone extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.code)
  }
}

const inputRefusal = ({ issues: [issue] }: z.ZodError): Refusal =>
  refuse('input', issue!.message, issue!.path.map(String).join('.'))

/** Reads what was sent; keys are checked before what they are keys of. */
function readCall<Schema extends z.ZodType>(
  { input, mostInput = MOST_INPUT }: { input: Schema; mostInput?: number | undefined },
  call: unknown,
): { ok: true; key: string; input: z.output<Schema>; raw: unknown } | Refusal {
  const sent = z.strictObject({ key: keySchema, input: z.unknown() }).safeParse(call)
  if (!sent.success) return refuse('input', ask('no-key'))
  if ((JSON.stringify(sent.data.input) ?? '').length > mostInput) return refuse('input', ask('too-long'))
  const read = input.safeParse(sent.data.input)
  return read.success
    ? { ok: true, key: sent.data.key, input: read.data, raw: sent.data.input ?? null }
    : inputRefusal(read.error)
}

/**
 * Does an action once: whatever its key was answered before is answered again. It writes, enters itself in the journal and asks
 * for a plan in one transaction, or does nothing. Never throws: a fault of the shop's own is an answer too.
 */
export async function perform<Schema extends z.ZodType, Value, Prepared = undefined>(
  db: Knex,
  definition: ActionDefinition<Schema, Value, Prepared>,
  call: unknown,
  { caller, at }: { caller: Caller; at: Instant },
): Promise<Answer<Value>> {
  const began = performance.now()
  const answer = await inWords(db, await tryToDo(db, definition, call, caller, at))
  log.info({
    action: definition.name,
    role: caller.role,
    ...(caller.account ? { account: caller.account } : {}),
    ...(answer.ok ? {} : { refused: answer.code }),
    ms: Math.round(performance.now() - began),
  })
  return answer
}

async function tryToDo<Schema extends z.ZodType, Value, Prepared>(
  db: Knex,
  definition: ActionDefinition<Schema, Value, Prepared>,
  call: unknown,
  caller: Caller,
  at: Instant,
): Promise<Answer<Value>> {
  if (!mayDo(caller.role, definition.who)) return refuse('not-for-you', ask('not-for-you-to-do'))
  try {
    const read = readCall(definition, call)
    if (!read.ok) return read
    return await doOnce(db, definition, read, caller, at)
  } catch (error) {
    log.error({ action: definition.name, ...faultFacts(error) })
    if (isFull(error)) return refuse('no-room', ask('disk-full'))
    return refuse('fault', ask('nothing-changed'))
  }
}

async function doOnce<Schema extends z.ZodType, Value, Prepared>(
  db: Knex,
  { name: action, prepare, write, secret = false, hushed = false }: ActionDefinition<Schema, Value, Prepared>,
  { key, input, raw }: { key: string; input: z.output<Schema>; raw: unknown },
  caller: Caller,
  at: Instant,
): Promise<Answer<Value>> {
  const kept = hushed ? null : raw
  try {
    const earlier = prepare && (await answeredBefore(db, { key, action, input: kept }))
    if (earlier) return earlier as Answer<Value>
    const prepared = (await prepare?.({ db, at, caller }, input)) as Prepared
    return await db.transaction(async (trx) => {
      let by = caller
      const before = await answeredBefore(trx, { key, action, input: kept })
      if (before) return before as Answer<Value>
      await forgetStrayChanges(trx)
      const answer = await write(
        {
          trx,
          at,
          caller,
          isBy: (who) => {
            by = { ...caller, ...who }
          },
          key,
          replan: (cause, jobs) => askToPlan(trx, { cause, at, ...(jobs ? { jobs } : {}) }),
        },
        input,
        prepared,
      )
      if (!answer.ok) throw new Undone(answer)
      await writeEntry(trx, { key, action, caller: by, at, input: kept, answer, secret })
      return answer
    })
  } catch (error) {
    if (error instanceof Undone) return error.refusal
    throw error
  }
}

import type { Knex } from 'knex'
import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import { type Action, type Answer, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { type Duty, mayDo } from '@/core/staff'
import type { Instant } from '@/core/time'
import { now } from '../clock'
import { database, writer } from '../db/connection'
import { faultFacts, log } from '../log'
import { wakePlanner } from '../planning/planner'
import { callerNow } from '../staff/caller-now'
import type { Caller } from './caller'
import { inWords } from './in-words'
import { type ActionDefinition, perform } from './perform'

/** Every way in from a page goes through one of these: who may, what is taken, and that it is done once. */

/** How each action was defined: the tablets' queue does them by name. */
const definitions = new WeakMap<object, unknown>()

/** The definition behind an action; undefined where it was not made here. */
export function definitionOf(action: object): ActionDefinition<z.ZodType, unknown, unknown> | undefined {
  return definitions.get(action) as ActionDefinition<z.ZodType, unknown, unknown> | undefined
}

/**
 * An action that writes. In a file of server functions it is exported as it is. Where what it gives is not told as it is, `tell` keeps a part of
 * it with the browser and answers the rest.
 */
export function defineAction<Schema extends z.ZodType, Value, Prepared = undefined>(
  definition: ActionDefinition<Schema, Value, Prepared>,
): Action<z.input<Schema>, Value>
export function defineAction<Schema extends z.ZodType, Value, Told, Prepared = undefined>(
  definition: ActionDefinition<Schema, Value, Prepared>,
  tell: (value: Value) => Promise<Told>,
): Action<z.input<Schema>, Told>
export function defineAction<Schema extends z.ZodType, Value, Told, Prepared = undefined>(
  definition: ActionDefinition<Schema, Value, Prepared>,
  tell?: (value: Value) => Promise<Told>,
): Action<z.input<Schema>, Value | Told> {
  const action: Action<z.input<Schema>, Value | Told> = async (call) => {
    const answer = await perform(await writer(), definition, call, { caller: await callerNow(), at: now() })
    if (!answer.ok) return answer
    wakePlanner()
    revalidatePath('/', 'layout')
    return tell ? { ok: true, value: await tell(answer.value) } : answer
  }
  definitions.set(action, definition)
  return action
}

export type ReadDefinition<Schema extends z.ZodType, Value> = {
  name: string
  who: Duty
  input: Schema
  read: (asking: { db: Knex; at: Instant; caller: Caller }, input: z.output<Schema>) => Promise<Answer<Value>>
}

/** A question a page asks without writing anything: it has no key, and is in no journal. */
export function defineReadAction<Schema extends z.ZodType, Value>({
  name,
  who,
  input,
  read,
}: ReadDefinition<Schema, Value>): (asked: z.input<Schema>) => Promise<Answer<Value>> {
  const tryToRead = async (db: Knex, asked: z.input<Schema>): Promise<Answer<Value>> => {
    const caller = await callerNow()
    if (!mayDo(caller.role, who)) return refuse('not-for-you', ask('not-for-you-to-see'))
    try {
      const checked = input.safeParse(asked)
      if (!checked.success) {
        const [issue] = checked.error.issues
        return refuse('input', issue!.message, issue!.path.map(String).join('.'))
      }
      return await read({ db, at: now(), caller }, checked.data)
    } catch (error) {
      log.error({ action: name, ...faultFacts(error) })
      return refuse('fault', ask('no-answer'))
    }
  }
  return async (asked) => {
    const db = await database()
    return inWords(db, await tryToRead(db, asked))
  }
}

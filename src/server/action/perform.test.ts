import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import fc from 'fast-check'
import type { Knex } from 'knex'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { toProductId } from '@/core/ids'
import type { Role } from '@/core/staff'
import { instantOrThrow } from '@/core/time'
import { openDatabase } from '../db/connection'
import { openRequests } from '../planning/plan-requests'
import { CUSTOMER, OPEN_SHOP } from './caller'
import { type ActionDefinition, defineWrite, perform } from './perform'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
let db: Knex
beforeEach(async () => {
  db = await openDatabase(':memory:')
})
afterEach(() => db.destroy())

/** A process that writes without waiting. */
const WRITE_ONCE = `
  const db = new (require('better-sqlite3'))(process.argv[1], { timeout: 0 })
  db.exec("INSERT INTO reorder_points (product_id, ml) VALUES ('other', 1)")
`

/** Writes a reorder point, and says how often it was done. */
const count = defineWrite({
  name: 'test.count',
  who: 'floor',
  input: z.strictObject({ product: z.string().min(1, 'Name it.').max(20), ml: z.int() }),
  write: async ({ trx, replan }, { product, ml }) => {
    await trx('reorder_points')
      .insert({ product_id: toProductId(product), ml })
      .onConflict('product_id')
      .merge()
    await replan('counted', ['j1'])
    if (ml === 13) return refuse('rule', 'Not thirteen.', 'ml')
    if (ml === 666) throw new Error('broken: 0871234567')
    return done({ ml })
  },
})
const call = (input: unknown, key: string = randomUUID()) => ({ key, input })
const doIt = <S extends z.ZodType, V>(
  definition: ActionDefinition<S, V>,
  sent: unknown,
  caller = OPEN_SHOP,
) => perform(db, definition, sent, { caller, at: AT })
const points = async () => (await db('reorder_points')).length

test('an action that has read is not refused because another connection wrote meanwhile', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-two-'))
  const file = path.join(folder, 'shop.db')
  const [one, other] = [await openDatabase(file), await openDatabase(file)]
  const slow = defineWrite({
    name: 'test.slow',
    who: 'floor',
    input: z.strictObject({ ml: z.int() }),
    write: async ({ trx }, { ml }) => {
      const before = await trx('reorder_points')
      // Somebody plans meanwhile, over a connection of their own; the right to write is ours, so they are at it once we are done.
      const planning = spawnSync(process.execPath, ['-e', WRITE_ONCE, file], {
        cwd: process.cwd(),
        encoding: 'utf8',
      })
      expect(planning.stderr).toContain('locked')
      await trx('reorder_points').insert({ product_id: toProductId(`p${before.length}`), ml })
      return done()
    },
  })
  const answer = await perform(one, slow, call({ ml: 5 }), { caller: OPEN_SHOP, at: AT })
  expect(answer).toEqual({ ok: true, value: null })
  expect(await other('reorder_points').select('ml')).toEqual([{ ml: 5 }])
  await Promise.all([one.destroy(), other.destroy()])
  rmSync(folder, { recursive: true })
})

describe('an action', () => {
  test('is done once under its key, and answers the same however often it is sent', async () => {
    const sent = call({ product: 'ebb', ml: 50 })
    const first = await doIt(count, sent)
    expect(first).toEqual({ ok: true, value: { ml: 50 } })
    await db('reorder_points').delete()
    expect(await doIt(count, sent)).toEqual(first)
    expect(await points()).toBe(0)
    expect(await db('action_journal')).toHaveLength(1)
    expect(await openRequests(db)).toHaveLength(1)
  })
  test('whose key was used for something else is refused', async () => {
    const key = randomUUID()
    await doIt(count, call({ product: 'ebb', ml: 50 }, key))
    expect(await doIt(count, call({ product: 'ebb', ml: 51 }, key))).toMatchObject({ code: 'key-used' })
  })
  test('that is refused leaves nothing: no row, no plan to make, no entry', async () => {
    expect(await doIt(count, call({ product: 'ebb', ml: 13 }))).toMatchObject({ code: 'rule', field: 'ml' })
    expect(await points()).toBe(0)
    expect(await openRequests(db)).toEqual([])
    expect(await db('action_journal')).toEqual([])
  })
  test('that breaks leaves nothing either, and says so without a stack or what was typed', async () => {
    const answer = await doIt(count, call({ product: 'ebb', ml: 666 }))
    expect(answer).toMatchObject({ ok: false, code: 'fault' })
    expect(JSON.stringify(answer)).not.toMatch(/087|Error|at /)
    expect(await points()).toBe(0)
  })
  test('is not for whoever may not do it, and nothing is read for them', async () => {
    expect(await doIt(count, call({ product: 'ebb', ml: 1 }), CUSTOMER)).toMatchObject({
      code: 'not-for-you',
    })
    expect(await doIt(count, call({ product: 'ebb', ml: 1 }), { role: 'king' as Role })).toMatchObject({
      code: 'not-for-you',
    })
  })
  test('malformed is refused with its field', async () => {
    expect(await doIt(count, call({ product: '', ml: 1 }))).toEqual({
      ok: false,
      code: 'input',
      field: 'product',
      message: 'Name it.',
    })
    expect(await doIt(count, call({ product: 'x', ml: 1, more: 1 }))).toMatchObject({ code: 'input' })
    expect(await doIt(count, call({ product: 'x'.repeat(200_000), ml: 1 }))).toMatchObject({ code: 'input' })
  })
  test('whose answer may be seen once does not tell it twice, and the journal does not hold it', async () => {
    const secret = defineWrite({
      name: 'test.secret',
      who: 'floor',
      secret: true,
      input: z.null(),
      write: async () => done({ path: '/o/hush' }),
    })
    const sent = call(null)
    expect(await doIt(secret, sent)).toEqual({ ok: true, value: { path: '/o/hush' } })
    expect(await doIt(secret, sent)).toMatchObject({ code: 'shown-once' })
    expect(JSON.stringify(await db('action_journal'))).not.toContain('hush')
  })
  test('takes whatever is sent without breaking', async () => {
    await fc.assert(
      fc.asyncProperty(fc.anything(), async (sent) => {
        const answer = await doIt(count, sent)
        expect(answer.ok).toBe(false)
      }),
      { numRuns: 200 },
    )
  })
  test('sent by several at once under one key is done once', async () => {
    const sent = call({ product: 'ebb', ml: 50 })
    const answers = await Promise.all([1, 2, 3, 4].map(() => doIt(count, sent)))
    expect(new Set(answers.map((answer) => JSON.stringify(answer))).size).toBe(1)
    expect(await openRequests(db)).toHaveLength(1)
  })
})

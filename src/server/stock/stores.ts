import type { Knex } from 'knex'
import type { JobId, OperationId } from '@/core/ids'
import type { Store, StoreKey, Takes } from '@/core/stock'
import type { Instant } from '@/core/time'

/** Liquids and tape: what was counted, what the steps took since, and what it costs. Amounts in ml or m. */

const TENTHS = 10
const COUNTED = 'counted'
const TAKEN_BACK = 'taken-back'

/** Everything that is counted. */
export async function listStores(db: Knex): Promise<Store[]> {
  const used: { key: StoreKey; used: number }[] = await db('store_moves')
    .groupBy('key')
    .select('key')
    .sum({ used: 'amount_x10' })
  const left = new Map(used.map((row) => [row.key, -Number(row.used) / TENTHS]))
  return (await db('stores').orderBy('key')).map(({ key, order_below, cents }) => ({
    key: key as StoreKey,
    left: Math.max(0, left.get(key as StoreKey) ?? 0),
    orderBelow: order_below,
    cents,
  }))
}

/** Somebody looked: so much is there. The difference is booked, so that the history stays. */
export async function countStore(db: Knex, key: StoreKey, amount: number, at: Instant): Promise<void> {
  await db('stores').insert({ key }).onConflict('key').ignore()
  const moved = await db('store_moves').where({ key }).sum({ used: 'amount_x10' }).first()
  const stands = -Number(moved?.used ?? 0)
  const difference = stands - Math.round(amount * TENTHS)
  if (difference !== 0) await db('store_moves').insert({ key, amount_x10: difference, note: COUNTED, at })
}

/** Below which amount one orders, and what it costs by the litre or by ten metres. */
export async function setStore(
  db: Knex,
  key: StoreKey,
  { orderBelow, cents }: Pick<Store, 'orderBelow' | 'cents'>,
): Promise<void> {
  const row = { order_below: orderBelow, cents }
  await db('stores')
    .insert({ key, ...row })
    .onConflict('key')
    .merge(row)
}

/** A step is done: what its recipe says was used is booked, of everything that is counted. */
export async function takeFromStores(
  db: Knex,
  takes: Takes['stores'],
  why: { job: JobId; operation: OperationId; at: Instant },
): Promise<void> {
  const counted = new Set((await db('stores').select('key')).map(({ key }) => key))
  const rows = takes
    .filter(({ key, amount }) => counted.has(key) && amount > 0)
    .map(({ key, amount }) => ({
      key,
      amount_x10: Math.round(amount * TENTHS),
      job_id: why.job,
      operation_id: why.operation,
      at: why.at,
    }))
  if (rows.length > 0) await db('store_moves').insert(rows)
}

/** The step was not done after all: what was booked for it goes back, and both entries stay. */
export async function putBack(db: Knex, job: JobId, operation: OperationId, at: Instant): Promise<void> {
  const booked: { key: string; used: number }[] = await db('store_moves')
    .where({ job_id: job, operation_id: operation })
    .groupBy('key')
    .select('key')
    .sum({ used: 'amount_x10' })
  const rows = booked
    .filter(({ used }) => Number(used) > 0)
    .map(({ key, used }) => ({
      key,
      amount_x10: -Number(used),
      job_id: job,
      operation_id: operation,
      note: TAKEN_BACK,
      at,
    }))
  if (rows.length > 0) await db('store_moves').insert(rows)
}

/** What the steps of a job have used. */
export async function usedFor(db: Knex, job: JobId): Promise<{ key: StoreKey; amount: number }[]> {
  const rows: { key: StoreKey; used: number }[] = await db('store_moves')
    .where({ job_id: job })
    .groupBy('key')
    .select('key')
    .sum({ used: 'amount_x10' })
  return rows.map(({ key, used }) => ({ key, amount: Number(used) / TENTHS }))
}

import type { Knex } from 'knex'
import type { OrderOf, StockOrder } from '@/core/stock'
import { type Instant, instantOrThrow, type LocalDay, localDayOrThrow } from '@/core/time'

/** What is on its way to the shelf. Of one thing there is one open order at most. */

export async function listOrders(db: Knex): Promise<StockOrder[]> {
  const rows = await db('stock_orders').whereNull('ended_at').orderBy('id')
  return rows.map(({ id, of, ordered_at, due }) => ({
    id,
    of: of as OrderOf,
    orderedAt: instantOrThrow(ordered_at),
    ...(due ? { due: localDayOrThrow(due) } : {}),
  }))
}

/** False where it is ordered already. */
export async function placeOrder(
  db: Knex,
  of: OrderOf,
  due: LocalDay | undefined,
  at: Instant,
): Promise<boolean> {
  if (await db('stock_orders').where({ of }).whereNull('ended_at').first('id')) return false
  await db('stock_orders').insert({ of, ordered_at: at, due: due ?? null })
  return true
}

/** It came, or was not ordered after all; false where there is no such open order. */
export async function endOrder(db: Knex, id: number, came: boolean, at: Instant): Promise<boolean> {
  const ended = await db('stock_orders')
    .where({ id })
    .whereNull('ended_at')
    .update({ ended_at: at, came: came ? 1 : 0 })
  return ended > 0
}

/** What was ordered has been put on the shelf. */
export async function orderCame(db: Knex, of: OrderOf, at: Instant): Promise<void> {
  await db('stock_orders').where({ of }).whereNull('ended_at').update({ ended_at: at, came: 1 })
}

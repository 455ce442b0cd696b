'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { day } from '@/core/inputs'
import { isOrderOf } from '@/core/stock'
import { dayIn } from '@/core/time'
import { defineAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import { endOrder, placeOrder } from './orders'

/** Something of the shelf is ordered, with the day it should be here where that is known. */
export const orderStock = defineAction({
  name: 'stock.order',
  who: 'floor',
  input: z.strictObject({ of: z.string().max(100), due: day(ask('a-day')).optional() }),
  write: async ({ trx, at }, { of, due }) => {
    const { catalogue, setup } = await loadShop(trx)
    if (!isOrderOf(of, new Set(catalogue.map(({ id }) => id)))) return refuse('input', ask('product'), 'of')
    if (due && due < dayIn(setup.region.timezone, at)) return refuse('input', ask('past-day'), 'due')
    return (await placeOrder(trx, of, due, at)) ? done() : refuse('stale', ask('ordered-already'))
  },
})

/** What was ordered is here, or was not ordered after all. */
export const endStockOrder = defineAction({
  name: 'stock.end-order',
  who: 'floor',
  input: z.strictObject({ id: z.int().min(1), came: z.boolean() }),
  write: async ({ trx, at }, { id, came }) =>
    (await endOrder(trx, id, came, at)) ? done() : refuse('gone', ask('order-gone')),
})

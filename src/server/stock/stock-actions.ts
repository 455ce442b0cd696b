'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { toProductId } from '@/core/ids'
import { aBottle, aProduct, id } from '@/core/inputs'
import { SUPPLY_KINDS, WASHES_MOST } from '@/core/stock'
import { dayIn } from '@/core/time'
import { defineAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import {
  addBottle,
  addSupply,
  markGone,
  recount,
  recountSupply,
  renewSupply,
  setReorderPoint,
  washSupply,
} from './stock-store'

/** The largest bottle anybody keeps on a shelf, ml (mem). */
const BOTTLE_MOST_ML = 5000
const PIECES_MOST = 1000

const amount = (what: string, most: number) =>
  z
    .number({ error: `Type ${what} as a number.` })
    .min(0, `${what} cannot be less than nothing.`)
    .max(most, `More than ${most} cannot be.`)

const pieces = (what: string) =>
  z
    .int({ error: `Type ${what} as a whole number.` })
    .min(0)
    .max(PIECES_MOST)

const NO_SET = 'This set is no longer there. Load the page again.'

/** Bottles that have come in, unopened. */
export const receiveBottles = defineAction({
  name: 'stock.receive-bottles',
  who: 'floor',
  input: z.strictObject({
    productId: z.string().min(1, 'Choose the product.').max(80).transform(toProductId),
    lot: z
      .string()
      .trim()
      .min(1, 'Write the lot from the bottle.')
      .max(60, 'Keep the lot under 60 characters.'),
    ml: amount('The millilitres', BOTTLE_MOST_ML).gt(0, 'Type how many millilitres are in it.'),
    count: pieces('how many bottles').min(1, 'At least one bottle.').max(50, 'At most fifty at a time.'),
  }),
  write: async ({ trx, at }, { productId, lot, ml, count }) => {
    const { setup, catalogue } = await loadShop(trx)
    if (!catalogue.some((product) => product.id === productId))
      return refuse('input', 'Choose the product.', 'productId')
    const arrivedOn = dayIn(setup.region.timezone, at)
    for (let made = 0; made < count; made++) await addBottle(trx, { productId, lot, fullMl: ml, arrivedOn })
    return done()
  },
})

/** Somebody looked at a bottle: so much is left in it. */
export const countBottle = defineAction({
  name: 'stock.count-bottle',
  who: 'floor',
  input: z.strictObject({ id: aBottle, ml: amount('what is left', BOTTLE_MOST_ML) }),
  write: async ({ trx, at }, { id: bottle, ml }) =>
    (await recount(trx, bottle, ml, at))
      ? done()
      : refuse('gone', 'This bottle is no longer on the shelf. Load the page again.', 'ml'),
})

/** A bottle has left the shelf: empty, too old, or used up on wheels and trim. */
export const throwBottle = defineAction({
  name: 'stock.throw-bottle',
  who: 'floor',
  input: z.strictObject({ id: aBottle }),
  write: async ({ trx, at }, { id: bottle }) => {
    await markGone(trx, bottle, dayIn((await loadShop(trx)).setup.region.timezone, at))
    return done()
  },
})

/** How much of a product the shop wants to have left. */
export const setReorder = defineAction({
  name: 'stock.set-reorder-point',
  who: 'floor',
  input: z.strictObject({ productId: aProduct, ml: amount('the millilitres', 100_000) }),
  write: async ({ trx }, { productId, ml }) => {
    const { catalogue } = await loadShop(trx)
    if (!catalogue.some((product) => product.id === productId))
      return refuse('gone', 'This product is no longer there. Load the page again.', 'ml')
    await setReorderPoint(trx, productId, Math.round(ml))
    return done()
  },
})

export const addSet = defineAction({
  name: 'stock.add-set',
  who: 'floor',
  input: z.strictObject({
    kind: z.enum(SUPPLY_KINDS),
    name: z.string().trim().min(1, 'Give the set a name.').max(60, 'Keep the name under 60 characters.'),
    count: pieces('how many there are').min(1, 'A set has at least one piece.'),
    reorderAt: pieces('from how few on you buy more'),
  }),
  write: async ({ trx }, { kind, name, count, reorderAt }) => {
    const washesMost = WASHES_MOST[kind]
    await addSupply(trx, { kind, name, clean: count, dirty: 0, washes: 0, washesMost, reorderAt })
    return done()
  },
})

export const washSet = defineAction({
  name: 'stock.wash-set',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx }, { id: set }) => ((await washSupply(trx, set)) ? done() : refuse('gone', NO_SET)),
})

export const countSet = defineAction({
  name: 'stock.count-set',
  who: 'floor',
  input: z.strictObject({ id, clean: pieces('how many there are') }),
  write: async ({ trx }, { id: set, clean }) =>
    (await recountSupply(trx, set, clean)) ? done() : refuse('gone', NO_SET, 'clean'),
})

export const renewSet = defineAction({
  name: 'stock.renew-set',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx }, { id: set }) => ((await renewSupply(trx, set)) ? done() : refuse('gone', NO_SET)),
})

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { PADS } from '@/core/correction'
import { toProductId } from '@/core/ids'
import { aBottle, aProduct, id } from '@/core/inputs'
import { STORE_KEYS, SUPPLY_KINDS, WASHES_MOST } from '@/core/stock'
import { dayIn } from '@/core/time'
import { minorDigits } from '@/text/formats'
import { defineAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import { todayHere } from '../shop/today'
import { orderCame } from './orders'
import {
  addBottle,
  addSupply,
  markGone,
  recount,
  recountSupply,
  renewSupply,
  setReorderPoint,
  setSupplyPrice,
  washSupply,
} from './stock-store'
import { countStore, setStore } from './stores'

/** The largest bottle anybody keeps on a shelf, ml (mem). */
const BOTTLE_MOST_ML = 5000
const PIECES_MOST = 1000

const amount = (mostMl: number) =>
  z
    .number({ error: ask('a-number') })
    .min(0, ask('not-below-nothing'))
    .max(mostMl, ask('ml-most', { ml: mostMl }))

const pieces = z
  .int({ error: ask('a-whole-number') })
  .min(0, ask('not-below-nothing'))
  .max(PIECES_MOST, ask('pieces-most', { most: PIECES_MOST }))

/** Widths of pads, mm (mem). */
const PAD_MM = { of: 'pad-width', least: 25, most: 300 } as const

const NO_SET = ask('set-gone')

/** Bottles that have come in, unopened. */
export const receiveBottles = defineAction({
  name: 'stock.receive-bottles',
  who: 'floor',
  input: z.strictObject({
    productId: z.string().min(1, ask('product')).max(80).transform(toProductId),
    lot: z
      .string()
      .trim()
      .min(1, ask('lot'))
      .max(60, ask('keep-under', { characters: 60 })),
    ml: amount(BOTTLE_MOST_ML).gt(0, ask('bottle-content')),
    count: pieces.min(1, ask('one-bottle')).max(50, ask('bottles-enough')),
  }),
  write: async ({ trx, at }, { productId, lot, ml, count }) => {
    const { setup, catalogue } = await loadShop(trx)
    if (!catalogue.some((product) => product.id === productId))
      return refuse('input', ask('product'), 'productId')
    const arrivedOn = dayIn(setup.region.timezone, at)
    for (let made = 0; made < count; made++) await addBottle(trx, { productId, lot, fullMl: ml, arrivedOn })
    await orderCame(trx, `product:${productId}`, at)
    return done()
  },
})

/** Somebody looked at a bottle: so much is left in it. */
export const countBottle = defineAction({
  name: 'stock.count-bottle',
  who: 'floor',
  input: z.strictObject({ id: aBottle, ml: amount(BOTTLE_MOST_ML) }),
  write: async ({ trx, at }, { id: bottle, ml }) =>
    (await recount(trx, bottle, ml, at)) ? done() : refuse('gone', ask('bottle-gone'), 'ml'),
})

/** A bottle has left the shelf: empty, too old, or used up on wheels and trim. */
export const throwBottle = defineAction({
  name: 'stock.throw-bottle',
  who: 'floor',
  input: z.strictObject({ id: aBottle }),
  write: async ({ trx, at }, { id: bottle }) => {
    await markGone(trx, bottle, await todayHere(trx, at))
    return done()
  },
})

/** How much of a product the shop wants to have left. */
export const setReorder = defineAction({
  name: 'stock.set-reorder-point',
  who: 'manage',
  input: z.strictObject({ productId: aProduct, ml: amount(100_000) }),
  write: async ({ trx }, { productId, ml }) => {
    const { catalogue } = await loadShop(trx)
    if (!catalogue.some((product) => product.id === productId))
      return refuse('gone', ask('product-gone'), 'ml')
    await setReorderPoint(trx, productId, Math.round(ml))
    return done()
  },
})

export const addSet = defineAction({
  name: 'stock.add-set',
  who: 'floor',
  input: z.strictObject({
    kind: z.enum(SUPPLY_KINDS),
    name: z
      .string()
      .trim()
      .min(1, ask('set-name'))
      .max(60, ask('keep-under', { characters: 60 })),
    count: pieces.min(1, ask('one-piece')),
    reorderAt: pieces,
    /** Of pads: what pads. */
    of: z
      .strictObject({
        pad: z.enum(PADS),
        mm: z
          .int(ask('of-between', PAD_MM))
          .min(PAD_MM.least, ask('of-between', PAD_MM))
          .max(PAD_MM.most, ask('of-between', PAD_MM)),
      })
      .optional(),
  }),
  write: async ({ trx }, { kind, name, count, reorderAt, of }) => {
    const washesMost = WASHES_MOST[kind]
    const pads = kind === 'pad' && of ? { of } : {}
    await addSupply(trx, { kind, name, clean: count, dirty: 0, washes: 0, washesMost, reorderAt, ...pads })
    return done()
  },
})

const STORE_MOST = 200_000
const storeAmount = z
  .number({ error: ask('a-number') })
  .min(0, ask('not-below-nothing'))
  .max(STORE_MOST, ask('ml-most', { ml: STORE_MOST }))

const aPrice = z
  .number({ error: ask('an-amount') })
  .min(0, ask('not-below-nothing'))
  .max(100_000, ask('payment-too-large'))

/** Somebody looked: so many ml of a liquid, or metres of tape, are there. From then on the steps take from it. */
export const countStored = defineAction({
  name: 'stock.count-store',
  who: 'floor',
  input: z.strictObject({ key: z.enum(STORE_KEYS), amount: storeAmount }),
  write: async ({ trx, at }, { key, amount: there }) => {
    await countStore(trx, key, there, at)
    return done()
  },
})

/** Below which amount of a liquid or tape one orders, and what a litre or ten metres cost. */
export const keepStore = defineAction({
  name: 'stock.keep-store',
  who: 'manage',
  input: z.strictObject({
    key: z.enum(STORE_KEYS),
    orderBelow: storeAmount,
    price: aPrice,
  }),
  write: async ({ trx }, { key, orderBelow, price }) => {
    const { region } = (await loadShop(trx)).setup
    const cents = Math.round(price * 10 ** minorDigits(region))
    await setStore(trx, key, { orderBelow: Math.round(orderBelow), cents })
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
  input: z.strictObject({ id, clean: pieces }),
  write: async ({ trx }, { id: set, clean }) =>
    (await recountSupply(trx, set, clean)) ? done() : refuse('gone', NO_SET, 'clean'),
})

/** What one pad or towel of a set costs. */
export const priceSet = defineAction({
  name: 'stock.price-set',
  who: 'manage',
  input: z.strictObject({ id, price: aPrice }),
  write: async ({ trx }, { id: set, price }) => {
    const { region } = (await loadShop(trx)).setup
    const cents = Math.round(price * 10 ** minorDigits(region))
    return (await setSupplyPrice(trx, set, cents)) ? done() : refuse('gone', NO_SET, 'price')
  },
})

export const renewSet = defineAction({
  name: 'stock.renew-set',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx }, { id: set }) => ((await renewSupply(trx, set)) ? done() : refuse('gone', NO_SET)),
})

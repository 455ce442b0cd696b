'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { SUPPLY_KINDS, WASHES_MOST } from '@/core/stock'
import { dayIn } from '@/core/time'
import { now } from '../clock'
import { database } from '../db/connection'
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

export type StockAnswer = { kind: 'done' } | { kind: 'refused'; field: string; message: string }

const refusal = (error: z.ZodError): StockAnswer => {
  const [issue] = error.issues
  return { kind: 'refused', field: String(issue!.path.at(-1) ?? ''), message: issue!.message }
}

function done(): StockAnswer {
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

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

const bottleSchema = z.strictObject({
  productId: z.string().min(1, 'Choose the product.'),
  lot: z
    .string()
    .trim()
    .min(1, 'Write the lot from the bottle.')
    .max(60, 'Keep the lot under 60 characters.'),
  ml: amount('The millilitres', BOTTLE_MOST_ML).gt(0, 'Type how many millilitres are in it.'),
  count: pieces('how many bottles').min(1, 'At least one bottle.').max(50, 'At most fifty at a time.'),
})

/** Bottles that have come in, unopened. */
export async function receiveBottles(typed: z.input<typeof bottleSchema>): Promise<StockAnswer> {
  const read = bottleSchema.safeParse(typed)
  if (!read.success) return refusal(read.error)
  const db = await database()
  const { setup, catalogue } = await loadShop(db)
  const { productId, lot, ml, count } = read.data
  if (!catalogue.some(({ id }) => id === productId))
    return { kind: 'refused', field: 'productId', message: 'Choose the product.' }
  const arrivedOn = dayIn(setup.timezone, now())
  for (let made = 0; made < count; made++) await addBottle(db, { productId, lot, fullMl: ml, arrivedOn })
  return done()
}

/** Somebody looked at a bottle: so much is left in it. */
export async function countBottle(id: string, ml: number): Promise<StockAnswer> {
  const read = amount('what is left', BOTTLE_MOST_ML).safeParse(ml)
  if (!read.success) return refusal(read.error)
  const counted = await recount(await database(), id, read.data, now())
  return counted
    ? done()
    : { kind: 'refused', field: 'ml', message: 'This bottle is no longer on the shelf. Load the page again.' }
}

/** A bottle has left the shelf: empty, too old, or used up on wheels and trim. */
export async function throwBottle(id: string): Promise<StockAnswer> {
  const db = await database()
  await markGone(db, id, dayIn((await loadShop(db)).setup.timezone, now()))
  return done()
}

/** How much of a product the shop wants to have left. */
export async function setReorder(productId: string, ml: number): Promise<StockAnswer> {
  const read = amount('the millilitres', 100_000).safeParse(ml)
  if (!read.success) return refusal(read.error)
  await setReorderPoint(await database(), productId, Math.round(read.data))
  return done()
}

const supplySchema = z.strictObject({
  kind: z.enum(SUPPLY_KINDS),
  name: z.string().trim().min(1, 'Give the set a name.').max(60, 'Keep the name under 60 characters.'),
  count: pieces('how many there are').min(1, 'A set has at least one piece.'),
  reorderAt: pieces('from how few on you buy more'),
})

export async function addSet(typed: z.input<typeof supplySchema>): Promise<StockAnswer> {
  const read = supplySchema.safeParse(typed)
  if (!read.success) return refusal(read.error)
  const { kind, name, count, reorderAt } = read.data
  const washesMost = WASHES_MOST[kind]
  await addSupply(await database(), { kind, name, clean: count, dirty: 0, washes: 0, washesMost, reorderAt })
  return done()
}

export async function washSet(id: string): Promise<StockAnswer> {
  await washSupply(await database(), id)
  return done()
}

export async function countSet(id: string, clean: number): Promise<StockAnswer> {
  const read = pieces('how many there are').safeParse(clean)
  if (!read.success) return refusal(read.error)
  await recountSupply(await database(), id, read.data)
  return done()
}

export async function renewSet(id: string): Promise<StockAnswer> {
  await renewSupply(await database(), id)
  return done()
}

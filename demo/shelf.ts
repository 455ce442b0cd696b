import type { Knex } from 'knex'
import type { StoreKey } from '@/core/stock'
import { dayIn, type Instant, plusDays } from '@/core/time'
import { addBottle, addSupply, markOpened, recount, setReorderPoint } from '@/server/stock/stock-store'
import { countStore, setStore } from '@/server/stock/stores'
import { toProductId } from '../src/core/ids'

/** What stands on the demo shelf: most of what the week needs, one bottle too old, and one product that does not reach. */

const BOTTLES = [
  { productId: 'cladonia-base', lot: 'CB-7', ml: 50, cameDaysAgo: 60, openedDaysAgo: 9, left: 21 },
  { productId: 'cladonia-base', lot: 'CB-9', ml: 50, cameDaysAgo: 20 },
  { productId: 'cladonia-base', lot: 'CB-9', ml: 50, cameDaysAgo: 20 },
  { productId: 'tern-top', lot: 'TT-4', ml: 50, cameDaysAgo: 75, openedDaysAgo: 2, left: 34 },
  { productId: 'tern-top', lot: 'TT-5', ml: 50, cameDaysAgo: 12 },
  { productId: 'ebb-single', lot: 'ES-2', ml: 50, cameDaysAgo: 420 },
  { productId: 'ebb-single', lot: 'ES-6', ml: 50, cameDaysAgo: 40, openedDaysAgo: 20, left: 12 },
  { productId: 'ebb-single', lot: 'ES-6', ml: 50, cameDaysAgo: 40 },
  { productId: 'ebb-single', lot: 'ES-8', ml: 50, cameDaysAgo: 6 },
  { productId: 'drizzle-sealant', lot: 'DS-3', ml: 500, cameDaysAgo: 90, openedDaysAgo: 50, left: 310 },
  { productId: 'rill-glass', lot: 'RG-1', ml: 30, cameDaysAgo: 100 },
  { productId: 'kelp-trim', lot: 'KT-2', ml: 50, cameDaysAgo: 100 },
]

const ORDER_BELOW: Record<string, number> = {
  'cladonia-base': 60,
  'tern-top': 80,
  'ebb-single': 60,
  'drizzle-sealant': 150,
}

const SETS = [
  {
    kind: 'pad',
    name: 'Foam cut, 125 mm',
    of: { pad: 'foam-cut', mm: 125 },
    clean: 9,
    dirty: 3,
    washes: 6,
    washesMost: 15,
    reorderAt: 6,
  },
  {
    kind: 'pad',
    name: 'Foam finish, 125 mm',
    of: { pad: 'foam-finish', mm: 125 },
    clean: 4,
    dirty: 8,
    washes: 11,
    washesMost: 15,
    reorderAt: 6,
  },
  {
    kind: 'pad',
    name: 'Foam polish, 150 mm',
    of: { pad: 'foam-polish', mm: 150 },
    clean: 6,
    dirty: 2,
    washes: 4,
    washesMost: 15,
    reorderAt: 4,
  },
  {
    kind: 'pad',
    name: 'Foam polish, 125 mm',
    of: { pad: 'foam-polish', mm: 125 },
    clean: 1,
    dirty: 0,
    washes: 9,
    washesMost: 15,
    reorderAt: 0,
  },
  { kind: 'pad', name: 'Wool, 130 mm', clean: 3, dirty: 1, washes: 15, washesMost: 15, reorderAt: 2 },
  {
    kind: 'towel',
    name: 'Edgeless, for coatings',
    clean: 42,
    dirty: 26,
    washes: 12,
    washesMost: 60,
    reorderAt: 30,
  },
  { kind: 'towel', name: 'Plush, for drying', clean: 14, dirty: 6, washes: 31, washesMost: 60, reorderAt: 8 },
] as const

/** Liquids and tape as they were counted: what is there, below what is ordered, and what a litre or ten metres cost, cents. */
const COUNTED: [StoreKey, left: number, orderBelow: number, cents: number][] = [
  ['compound', 620, 250, 4200],
  ['polish', 180, 250, 4400],
  ['finishing-polish', 540, 200, 4600],
  ['prep', 2600, 1000, 900],
  ['iron-remover', 3400, 1500, 1100],
  ['shampoo', 2100, 500, 700],
  ['tape', 140, 100, 110],
]

export async function addShelf(db: Knex, zone: string, now: Instant): Promise<void> {
  const today = dayIn(zone, now)
  for (const { productId, lot, ml, cameDaysAgo, openedDaysAgo, left } of BOTTLES) {
    const id = await addBottle(db, {
      productId: toProductId(productId),
      lot,
      fullMl: ml,
      arrivedOn: plusDays(today, -cameDaysAgo),
    })
    if (openedDaysAgo === undefined) continue
    await markOpened(db, id, plusDays(today, -openedDaysAgo))
    await recount(db, id, left, now)
  }
  for (const [productId, ml] of Object.entries(ORDER_BELOW))
    await setReorderPoint(db, toProductId(productId), ml)
  for (const set of SETS) await addSupply(db, set)
  for (const [key, left, orderBelow, cents] of COUNTED) {
    await setStore(db, key, { orderBelow, cents })
    await countStore(db, key, left, now)
  }
}

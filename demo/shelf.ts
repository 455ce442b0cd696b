import type { Knex } from 'knex'
import { dayIn, type Instant, plusDays } from '@/core/time'
import { addBottle, addSupply, markOpened, recount, setReorderPoint } from '@/server/stock/stock-store'
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
  { kind: 'pad', name: 'Foam cut, 125 mm', clean: 9, dirty: 3, washes: 6, washesMost: 15, reorderAt: 6 },
  { kind: 'pad', name: 'Foam finish, 125 mm', clean: 4, dirty: 8, washes: 11, washesMost: 15, reorderAt: 6 },
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
}

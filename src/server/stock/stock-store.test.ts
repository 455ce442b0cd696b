import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { toBottleId, toOperationId, toProductId } from '@/core/ids'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { openDatabase } from '../db/connection'
import {
  addBottle,
  addSupply,
  listBottles,
  listSupplies,
  loadReorderPoints,
  markGone,
  markOpened,
  pour,
  recount,
  recountSupply,
  renewSupply,
  setReorderPoint,
  soil,
  washSupply,
} from './stock-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const TODAY = localDayOrThrow('2027-01-13')
const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-stock-'))
let db: Knex
beforeAll(async () => {
  db = await openDatabase(path.join(folder, 'shop.db'))
})
afterAll(async () => {
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
})
beforeEach(async () => {
  for (const table of ['pours', 'bottles', 'supplies', 'reorder_points']) await db(table).delete()
})

const bottle = (lot: string, fullMl = 50) =>
  addBottle(db, { productId: toProductId('cladonia-base'), lot, fullMl, arrivedOn: TODAY })
const only = async () => (await listBottles(db))[0]!

describe('bottles', () => {
  test('are numbered as they come, and keep their number when others go', async () => {
    const first = await bottle('A')
    await bottle('B')
    await markGone(db, first, TODAY)
    await bottle('C')
    expect((await listBottles(db)).map(({ code, lot }) => [code, lot])).toEqual([
      [2, 'B'],
      [3, 'C'],
    ])
  })
  test('are open from the first drop on, and remember the first day only', async () => {
    const id = await bottle('A')
    expect((await only()).openedOn).toBeUndefined()
    await markOpened(db, id, TODAY)
    await markOpened(db, id, localDayOrThrow('2027-02-01'))
    expect((await only()).openedOn).toBe(TODAY)
  })
  test('counted, hold what was seen, more or less than the book said, with the difference in the book', async () => {
    const id = await bottle('A')
    expect(await recount(db, id, 31.5, NOW)).toBe(true)
    expect((await only()).leftMl).toBe(31.5)
    expect(await recount(db, id, 40, NOW)).toBe(true)
    expect((await only()).leftMl).toBe(40)
    expect(await recount(db, id, 40, NOW)).toBe(true)
    expect((await db('pours')).map(({ ml_x10 }) => ml_x10)).toEqual([185, -85])
    expect(await recount(db, toBottleId('nobody'), 1, NOW)).toBe(false)
  })
  test('from which more was poured than the book knew are empty, not less than empty', async () => {
    await bottle('A')
    const { id } = await only()
    const why = { job: null as never, operation: toOperationId('layer-1'), act: 'a', at: NOW, day: TODAY }
    await pour(
      db,
      [
        { bottle: id, ml: 60 },
        { bottle: toBottleId('unknown'), ml: 5 },
      ],
      why,
    )
    expect(await only()).toMatchObject({ leftMl: 0, openedOn: TODAY })
    expect(await db('pours')).toHaveLength(1)
  })
  test('are ordered below a point that can be changed', async () => {
    await setReorderPoint(db, toProductId('cladonia-base'), 60)
    await setReorderPoint(db, toProductId('cladonia-base'), 80)
    expect(await loadReorderPoints(db)).toEqual({ 'cladonia-base': 80 })
  })
})

describe('pads and towels', () => {
  const set = {
    kind: 'towel' as const,
    name: 'Edgeless',
    clean: 3,
    dirty: 0,
    washes: 59,
    washesMost: 60,
    reorderAt: 2,
  }
  const towels = async () => (await listSupplies(db))[0]!
  test('go from the clean pile to the dirty one, never more than there are', async () => {
    await addSupply(db, set)
    await soil(db, 'towel', 2)
    expect(await towels()).toMatchObject({ clean: 1, dirty: 2 })
    await soil(db, 'towel', 5)
    expect(await towels()).toMatchObject({ clean: 0, dirty: 3 })
    await soil(db, 'towel', 1)
    await soil(db, 'pad', 1)
    expect(await towels()).toMatchObject({ clean: 0, dirty: 3 })
  })
  test('are washed when some are dirty, counted when somebody looked, and new when they were replaced', async () => {
    await addSupply(db, set)
    const { id } = await towels()
    await washSupply(db, id)
    expect((await towels()).washes).toBe(59)
    await soil(db, 'towel', 1)
    await washSupply(db, id)
    expect(await towels()).toMatchObject({ clean: 3, dirty: 0, washes: 60 })
    await recountSupply(db, id, 2)
    expect(await towels()).toMatchObject({ clean: 2, dirty: 0 })
    await renewSupply(db, id)
    expect((await towels()).washes).toBe(0)
  })
})

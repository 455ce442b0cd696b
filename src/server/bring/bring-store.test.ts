import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import type { BringEntry } from '@/core/bring'
import { toVehicleId } from '@/core/ids'
import { instantOrThrow, localDayOrThrow, plusMinutes } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { stateOfShop } from '../trials/shop-state.fixture'
import { appendRemovals } from '../vehicles/ledger-store'
import { broughtLists, dropList, pastJobsOf, planOfList, setDown, takeBack, takeOver } from './bring-store'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)

const entry = (line: number, more: Partial<BringEntry> = {}): BringEntry => ({
  line,
  name: `Customer ${line}`,
  phone: '',
  email: `c${line}@example.com`,
  vehicle: {
    plate: `ZZ ${line}`,
    vin: '',
    make: 'Corvane',
    model: 'Nimble',
    colour: '',
    colourCode: '',
    shape: 'hatchback',
  },
  past: { day: localDayOrThrow('2025-04-02'), work: 'Wash', priceMinor: 4500 },
  ...more,
})
const entries = Array.from({ length: 900 }, (_, at) => entry(at + 1))
const list = () => ({ id: randomUUID(), name: 'customers.csv' })
/** All that a shop has but the lists themselves. */
async function shopNow() {
  const { imports: _, import_rows: __, ...rest } = await stateOfShop(shop.db)
  return rest
}

describe('a list', () => {
  test('counts for nothing until it is taken over, whatever pieces come twice; taken back, all is as it was', async () => {
    const before = await shopNow()
    const own = list()
    await setDown(shop.db, own, entries.slice(0, 500), AT)
    await setDown(shop.db, own, entries.slice(400), AT)
    expect(await shopNow()).toEqual(before)
    expect((await planOfList(shop.db, own.id)).rows).toBe(900)
    const taken = await shop.db.transaction((trx) => takeOver(trx, own.id, { language: 'de', at: AT }))
    expect(taken).toMatchObject({ customers: 900, vehicles: 900, past: 900 })
    const car = await shop.db('vehicles').where({ plate: 'ZZ 77' }).first()
    expect(await pastJobsOf(shop.db, car!.id)).toEqual([{ day: '2025-04-02', work: 'Wash', cents: 4500 }])
    const owner = await shop.db('customers').where({ id: car!.customer_id }).first()
    expect(owner).toMatchObject({ name: 'Customer 77', language: 'de', may_remind: 0 })
    expect(await setDown(shop.db, own, entries, AT)).toBe('taken')

    const again = list()
    await setDown(shop.db, again, entries, AT)
    const { plan } = await planOfList(shop.db, again.id)
    expect(plan).toMatchObject({ customers: [], vehicles: [], past: [], pastKnown: 900 })
    await dropList(shop.db, again.id)

    const back = await shop.db.transaction((trx) => takeBack(trx, own.id, AT))
    expect(back).toEqual({ customers: 900, vehicles: 900, past: 900, kept: 0 })
    expect(await shopNow()).toEqual(before)
    expect(await broughtLists(shop.db)).toMatchObject([{ name: 'customers.csv', undone: true }])
  })

  test('taken back, it leaves what the shop has worked with since', async () => {
    const own = list()
    await setDown(shop.db, own, entries.slice(0, 3), AT)
    await takeOver(shop.db, own.id, { language: 'en', at: AT })
    const used = await shop.db('vehicles').where({ plate: 'ZZ 2' }).first()
    await appendRemovals(
      shop.db,
      toVehicleId(used!.id),
      undefined,
      [
        {
          panel: 'bonnet',
          source: 'told',
          day: localDayOrThrow('2026-01-01'),
          removedUm: 2,
          uncertaintyUm: 1,
          note: 'told',
        },
      ],
      AT,
    )
    const back = await takeBack(shop.db, own.id, AT)
    expect(back).toEqual({ customers: 2, vehicles: 2, past: 3, kept: 1 })
    expect(await shop.db('vehicles').where('plate', 'like', 'ZZ %').select('plate')).toEqual([
      { plate: 'ZZ 2' },
    ])
  })

  test('a list nobody took over is swept away a day later, when the next one comes', async () => {
    const [old, next] = [list(), list()]
    await setDown(shop.db, old, entries.slice(0, 2), AT)
    await setDown(shop.db, next, entries.slice(0, 2), plusMinutes(AT, 25 * 60))
    const left = await shop.db('import_rows').distinct('import_id')
    expect(left).toEqual([{ import_id: next.id }])
  })
})

import type { Knex } from 'knex'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { dueState, type VisitWindow } from '@/core/aftercare'
import { toProductId, toVehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { DUE_FILTERS, type DueFilter } from '@/core/job'
import { seededRandom } from '@/core/schedule'
import { dayIn, instantOrThrow, type LocalDay, plusDays } from '@/core/time'
import { openDatabase } from '../db/connection'
import { findJob, takeIn } from '../floor/job-store'
import { countDue, DUE_PAGE, listDue } from './due-list'
import { addWish } from './look-store'

/** The lists of visits on cars whose dates are drawn at random, held against what the core says of the same dates. */

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const TODAY = dayIn('Europe/Dublin', NOW)
const CARS = 300

type Drawn = {
  id: string
  plate: string
  booked: boolean
  goodMid: LocalDay
  visit: Pick<VisitWindow, 'from' | 'until'>
}

let db: Knex
const cars: Drawn[] = []

/** Which list a car belongs in, by the core’s word on its window. */
function listOf({ booked, goodMid, visit }: Drawn): DueFilter | 'later' {
  if (booked) return 'booked'
  if (goodMid < TODAY) return 'gone'
  const state = dueState(visit, TODAY)
  return state === 'due' || state === 'overdue' ? 'now' : state
}

beforeAll(async () => {
  db = await openDatabase(':memory:')
  const random = seededRandom(20_270_113)
  // Days on either side of every border, and days anywhere.
  const borders = [0, 1, -1, 21, 22, -180, -181, -208, -209]
  const offset = (at: number) => (at < borders.length ? borders[at]! : Math.round(900 * (random() - 0.55)))
  for (let at = 0; at < CARS; at++) {
    const plate = `IM ${1000 + at}`
    const intake = {
      ...emptyIntake(TODAY),
      customerName: `Owner ${at}`,
      plate,
      make: 'Marl',
      model: 'Puffin',
      colour: 'Slate',
      wishes: 'Clean.',
    }
    const job = (await findJob(db, await takeIn(db, intake, NOW, NOW)))!
    const booked = at >= borders.length && random() < 0.1
    if (!booked) await db('jobs').where({ id: job.id }).update({ handed_over_at: NOW })
    const from = plusDays(TODAY, offset(at))
    const visit = { from, until: plusDays(from, 28) }
    const goodMid = at < borders.length ? TODAY : plusDays(TODAY, Math.round(800 * (random() - 0.3)))
    cars.push({ id: job.vehicle.id, plate, booked, goodMid, visit })
    await db('care_dates').insert({
      vehicle_id: job.vehicle.id,
      laid_on: plusDays(TODAY, -400),
      product_id: toProductId('ebb-single'),
      visit_from: visit.from,
      visit_until: visit.until,
      why: 'rhythm',
      good_low: plusDays(goodMid, -60),
      good_mid: goodMid,
      good_high: plusDays(goodMid, 90),
      guarantee_until: null,
      failing: 0,
      last_visit: null,
    })
  }
})
afterAll(() => db.destroy())

async function everyPage(filter: DueFilter) {
  const all = []
  for (let page = 0; ; page++) {
    const { cars: shown, more } = await listDue(db, filter, TODAY, page)
    expect(shown.length).toBeLessThanOrEqual(DUE_PAGE)
    all.push(...shown)
    if (!more) return all
  }
}

describe('the lists of visits', () => {
  test.each(DUE_FILTERS.filter((filter) => filter !== 'all'))(
    '“%s” holds the cars the core says',
    async (filter) => {
      const listed = (await everyPage(filter)).map(({ vehicle }) => vehicle.id)
      const expected = cars.filter((car) => listOf(car) === filter).map(({ id }) => id)
      expect(expected.length).toBeGreaterThan(3)
      expect(listed.toSorted()).toEqual(expected.toSorted())
      expect((await countDue(db, TODAY))[filter]).toBe(expected.length)
    },
  )
  test('“all” holds every coated car once', async () => {
    const listed = (await everyPage('all')).map(({ vehicle }) => vehicle.id)
    expect(listed.toSorted()).toEqual(cars.map(({ id }) => id).toSorted())
    expect((await countDue(db, TODAY)).all).toBe(CARS)
  })
  test('a car says of itself what its list says', async () => {
    for (const car of await everyPage('all')) {
      const drawn = cars.find(({ id }) => id === car.vehicle.id)!
      expect(car.booked !== undefined).toBe(drawn.booked)
      expect(car.state).toBe(dueState(drawn.visit, TODAY))
    }
  })
  test('who has waited longest comes first, and before everybody who has asked', async () => {
    const before = await everyPage('now')
    const from = before.map(({ dates }) => dates.visit.from)
    expect(from).toEqual(from.toSorted())
    const asking = before.at(-1)!.vehicle.id
    await addWish(db, asking, { fromDay: TODAY, words: 'A dull door' }, NOW)
    const [first] = await everyPage('now')
    expect(first).toMatchObject({ asked: true, vehicle: { id: asking } })
  })
  test('a car that is here and has asked twice still stands there once', async () => {
    const { id } = cars.find(({ booked }) => booked)!
    for (const words of ['Once', 'and again'])
      await addWish(db, toVehicleId(id), { fromDay: TODAY, words }, NOW)
    const listed = (await everyPage('booked')).filter(({ vehicle }) => vehicle.id === id)
    expect(listed).toHaveLength(1)
  })
})

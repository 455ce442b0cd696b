import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { toJobId } from '@/core/ids'
import { dayIn, instantOrThrow, plusMinutes } from '@/core/time'
import { panelsOf, sizeOf } from '@/core/vehicle'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadShop } from '../shop/shop-store'
import { loadSurvey } from '../survey/survey-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { findKnown } from '../vehicles/vehicle-store'
import { lacksGlossBaseline, loadPaintPast, type PaintPast, protectionOf } from './protection'
import { bookShortJob, daysFor, visitOffer } from './short-jobs'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)
const MONTH = 30 * 24 * 60

/** A coated car of the demo without its visits, and its panels. */
async function coatedCar() {
  const loaded = await loadShop(shop.db)
  for (const { id } of await shop.db('vehicles').select('id')) {
    const past = await loadPaintPast(shop.db, loaded, id)
    const { vehicle } = (await findKnown(shop.db, id))!
    const bare: PaintPast = { ...past, looks: [], gloss: new Map() }
    const paint = protectionOf(loaded, vehicle, bare, AT).surfaces.find(({ surface }) => surface === 'paint')
    const first = paint?.units[0]
    if (first && paint.units.length > 5)
      return { loaded, vehicle, bare, units: paint.units, laidAt: first.laidAt }
  }
  throw new Error('no coated car in the demo')
}

test('the gloss of the fresh coating is no measure of wear; the first visit’s is, and it is asked for until it is there', async () => {
  const { loaded, vehicle, bare, units, laidAt } = await coatedCar()
  const [first, second] = [toJobId('first-visit'), toJobId('second-visit')]
  const look = (jobId: typeof first, months: number) =>
    units.map(({ id }) => ({
      jobId,
      unit: id,
      water: 'tight' as const,
      cleaned: true,
      at: plusMinutes(laidAt, months * MONTH),
      by: 'nobody',
      note: '',
    }))
  const all = (gu: number) => Object.fromEntries(units.map(({ id }) => [id, gu]))
  const fresh = [
    ...bare.coats.map(({ jobId }): [string, Record<string, number>] => [`${jobId} after`, all(104)]),
  ]
  const life = (past: PaintPast) =>
    protectionOf(loaded, vehicle, past, plusMinutes(laidAt, 12 * MONTH)).surfaces.find(
      ({ surface }) => surface === 'paint',
    )!.outlook.lifeMonths.mid
  const seen = { ...bare, looks: [...look(first, 3), ...look(second, 9)] as PaintPast['looks'] }
  const withGloss = (rounds: [string, Record<string, number>][]) => ({ ...seen, gloss: new Map(rounds) })
  const lacks = (past: PaintPast) => lacksGlossBaseline(protectionOf(loaded, vehicle, past, AT), past)

  // The meter falls by ten units once the fresh coating has settled: nothing is concluded from that.
  const settled: [string, Record<string, number>] = [`${first} before`, all(94)]
  expect(life(withGloss([...fresh, settled]))).toBeCloseTo(life(withGloss([])), 9)
  // From the first visit to the second it is wear.
  expect(life(withGloss([...fresh, settled, [`${second} before`, all(84)]]))).toBeLessThan(
    life(withGloss([])),
  )
  expect(lacks(withGloss(fresh))).toBe(true)
  expect(lacks(withGloss([...fresh, settled]))).toBe(false)
})

test('at a visit that was booked, what is read and seen there is kept: the booking is no agreement on it', async () => {
  const { loaded, vehicle } = await coatedCar()
  const now = plusMinutes(AT, 1)
  const offer = visitOffer(loaded, vehicle, { tax: 'as-usual' })
  const [day] = daysFor(
    await loadFloor(shop.db, now),
    offer.plan,
    sizeOf(vehicle),
    dayIn(loaded.setup.region.timezone, now),
  )
  const booked = await bookShortJob(shop.db, now, offer, {
    vehicleId: vehicle.id,
    day: day!.day,
    wishes: '',
  })
  if ('message' in booked) throw new Error('there is room in the demo')
  const panels = panelsOf(vehicle.shape).map(({ id }) => id)
  const { version, ...stored } = await loadSurvey(shop.db, booked.jobId)
  const read = {
    ...stored,
    before: { ...stored.before, gloss: Object.fromEntries(panels.map((panel) => [panel, [92]])) },
    defects: { [panels[0]!]: [{ kind: 'chips', severity: 1, extentPercent: 5, catchesNail: true }] },
  }
  const kept = await perform(
    shop.db,
    EVERY_ACTION.get('survey.keep')!,
    { key: randomUUID(), input: { jobId: booked.jobId, version, record: read } },
    { caller: OPEN_SHOP, at: now },
  )
  expect(kept).toMatchObject({ ok: true, value: { kind: 'saved' } })
  const past = await loadPaintPast(shop.db, loaded, vehicle.id)
  expect(past.gloss.get(`${booked.jobId} before`)).toMatchObject({ [panels[0]!]: 92 })
})

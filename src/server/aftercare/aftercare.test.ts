import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { becomeFernYard } from '@demo/fern-yard'
import { BONNET_CAR } from '@demo/past-cars'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { beforeAll, describe, expect, test } from 'vitest'
import type { KeptLook, Water } from '@/core/aftercare'
import { ask } from '@/core/asks'
import { readHistory, writeHistory } from '@/core/history'
import { type PersonId, toJobId, toPersonId, toVehicleId } from '@/core/ids'
import type { Job } from '@/core/job'
import { DUE_FILTERS } from '@/core/job'
import type { Shop } from '@/core/shop'
import { dayIn, type Instant, instantOrThrow, localDayOrThrow, plusDays, plusMinutes } from '@/core/time'
import { panelsOf, sizeOf, type Vehicle } from '@/core/vehicle'
import { CUSTOMER } from '../action/caller'
import { perform } from '../action/perform'
import { openDatabase } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { jobOnFloor, loadFloor } from '../floor/floor'
import { findJob, handOver } from '../floor/job-store'
import { handOverJob } from '../handover/hand-over'
import { addPayment } from '../handover/handover-store'
import { loadLearned } from '../learning/learning'
import { loadLessons } from '../learning/lesson-store'
import { listOwnerLinks, makeOwnerLink, revokeOwnerLink, vehicleOfLink } from '../links/owner-links'
import { loadTemplates, queueMessage, skipMessage } from '../messages/message-store'
import { proposeMessages, putIntoQueue, writtenOut } from '../messages/proposed-messages'
import { storePhoto } from '../photos/photo-files'
import { addPhoto } from '../photos/photo-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop, saveLearned, saveQuietAndClimate, shopVersion } from '../shop/shop-store'
import { listBrought } from '../vehicles/brought'
import { loadLedger } from '../vehicles/ledger-store'
import { loadTimeline } from '../vehicles/timeline'
import { loadTrends } from '../vehicles/trends'
import { loadVehicleCare } from '../vehicles/vehicle-care'
import { bringHistory, historyFile, loadHistory, withPictures } from '../vehicles/vehicle-history'
import { findKnown, listKnown } from '../vehicles/vehicle-store'
import { recordFinish } from '../work/work-store'
import { refreshCareDates, refreshStalest } from './care-dates'
import { countDue, listDue } from './due-list'
import { addWish, openWishes, writeLooks } from './look-store'
import { loadOwnerPage, mayShowPhoto } from './owner-page'
import { askForVisit } from './owner-wish'
import { failing, loadPaintPast, loadProtection, pastWithout, protectionOf } from './protection'
import { bookShortJob, daysFor, openVisit, repairOffer, visitOffer } from './short-jobs'
import { loadVisit } from './visit'

/** The years after, on the two years of the demo shop. The tests follow one car and build on each other. */

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const TODAY = dayIn('Europe/Dublin', NOW)
const years = demoShop(NOW, 'years')
let folder: string
let db: Knex
let shop: Shop
let car: Vehicle

beforeAll(async () => {
  ;({ folder, db } = years)
  shop = await loadShop(db)
  car = (await listKnown(db, BONNET_CAR.plate)).known[0]!.vehicle
})

const look = (unit: string, water: Water, at: Instant): KeptLook & { by: PersonId } => ({
  unit,
  water,
  feel: water === 'tight' ? 'slick' : 'grips',
  cleaned: true,
  ...(water === 'tight' ? {} : { cause: 'wear' as const }),
  note: '',
  by: toPersonId('brida'),
  at,
})
const paintOf = async (without?: string) => {
  const past = await loadPaintPast(db, shop, car.id)
  const { surfaces } = protectionOf(shop, car, without ? pastWithout(past, toJobId(without)) : past, NOW)
  return surfaces.find(({ surface }) => surface === 'paint')!
}
const holds = async (unit: string) => (await paintOf()).outlook.units.find(({ id }) => id === unit)!.holds

describe('the list of visits', () => {
  test('holds every coated car once, the lists do not overlap, and pages follow each other', async () => {
    const counts = await countDue(db, TODAY)
    expect(counts.all).toBeGreaterThan(60)
    expect(counts.now + counts.soon + counts.booked + counts.lapsed).toBeLessThanOrEqual(counts.all)
    const first = await listDue(db, 'all', TODAY)
    const second = await listDue(db, 'all', TODAY, 1)
    const plates = [...first.cars, ...second.cars].map(({ vehicle }) => vehicle.plate)
    expect(new Set(plates).size).toBe(plates.length)
    expect(first.more).toBe(true)
  })
  test('each list is as long as its count says, and no car stands in two', async () => {
    const counts = await countDue(db, TODAY)
    const listed = new Map<string, string[]>()
    for (const filter of DUE_FILTERS) {
      const plates: string[] = []
      for (let page = 0; ; page++) {
        const { cars, more } = await listDue(db, filter, TODAY, page)
        plates.push(...cars.map(({ vehicle }) => vehicle.plate))
        if (!more) break
      }
      expect([filter, plates.length]).toEqual([filter, counts[filter]])
      listed.set(filter, plates)
    }
    const { all, ...lists } = Object.fromEntries(listed)
    const one = Object.values(lists).flat()
    expect(new Set(one).size).toBe(one.length)
    expect(all).toEqual(expect.arrayContaining(one))
  })
  test('the car that was coated fourteen months ago is overdue', async () => {
    const { cars } = await listDue(db, 'now', TODAY)
    expect(cars.find(({ vehicle }) => vehicle.id === car.id)).toMatchObject({
      state: 'overdue',
      asked: false,
    })
  })
  test('who asks is due now, though the coating has worn off or the visit is months away', async () => {
    const [worn] = (await listDue(db, 'gone', TODAY)).cars
    const id = worn!.vehicle.id
    await addWish(db, id, { fromDay: TODAY, words: 'A dull door' }, NOW)
    const [top] = (await listDue(db, 'now', TODAY)).cars
    expect(top).toMatchObject({ asked: true, vehicle: { id } })
    await db('visit_wishes').where({ vehicle_id: id }).delete()
    expect((await listDue(db, 'gone', TODAY)).cars.map(({ vehicle }) => vehicle.id)).toContain(id)
  })
  test('who asks comes first, and the visit that is booked answers it', async () => {
    await addWish(db, car.id, { fromDay: TODAY, words: 'A smear on the bonnet' }, NOW)
    const dates = await refreshCareDates(db, shop, car.id, NOW)
    expect(dates!.visit.from <= TODAY).toBe(true)
    const [top] = (await listDue(db, 'now', TODAY)).cars
    expect(top).toMatchObject({ asked: true, vehicle: { plate: BONNET_CAR.plate } })
    expect(await openWishes(db, car.id)).toHaveLength(1)
  })
})

let visit: Job
describe('a visit at which the bonnet has failed', () => {
  test('before it everything held', async () => {
    expect(await holds('bonnet')).toBeGreaterThan(0.6)
    expect(failing(await loadProtection(db, shop, car, NOW))).toEqual([])
  })
  test('the look moves the outlook: the bonnet is gone and alone, the others are good for longer', async () => {
    visit = (await findJob(db, await openVisit(db, car.id, NOW)))!
    expect((await jobOnFloor(db, await loadFloor(db, NOW), visit.id))!.stage.kind).toBe('to-look')
    const seen = panelsOf(car.shape).map(({ id }) => look(id, id === 'bonnet' ? 'wets' : 'tight', NOW))
    await writeLooks(db, visit.id, seen)
    const [before, after] = [await paintOf(visit.id), await paintOf()]
    expect(await holds('bonnet')).toBeLessThan(0.1)
    expect(after.goodUntil.mid > before.goodUntil.mid).toBe(true)
    const found = failing(await loadProtection(db, shop, car, NOW))
    expect(found.map(({ unit, alone }) => [unit.id, alone])).toEqual([['bonnet', true]])
  })
  test('it is on guarantee; washed by brushes it would not be', async () => {
    const view = await loadVisit(db, shop, visit, NOW)
    expect(view.findings).toMatchObject([{ unit: 'bonnet', guarantee: { kind: 'yes' } }])
    const brushed = { ...visit, vehicle: { ...car, washing: 'brush' as const } }
    const [finding] = (await loadVisit(db, shop, brushed, NOW)).findings
    expect(finding!.guarantee).toMatchObject({ kind: 'no', broken: [{ id: 'brush-washed' }] })
  })
  test('the due list tells of the panel, the next window follows the visit', async () => {
    const dates = await refreshCareDates(db, shop, car.id, NOW)
    expect(dates).toMatchObject({ failing: 1, lastVisit: TODAY })
  })
})

let repairId: string
describe('the repair', () => {
  const offered = async (panels: readonly string[] = ['bonnet'], free = true) => {
    const layers = (await paintOf()).units.find(({ id }) => id === 'bonnet')!.layers
    const offer = await repairOffer(db, shop, visit, panels, layers, free)
    if ('message' in offer) throw new Error(offer.message)
    return offer
  }
  test('is free on guarantee, has its price otherwise, and grows with the panels', async () => {
    expect((await offered()).price.totalCents).toBe(0)
    const [one, two] = [await offered(['bonnet'], false), await offered(['bonnet', 'roof'], false)]
    expect(one.price.totalCents).toBeGreaterThan(5000)
    expect(two.price.totalCents).toBeGreaterThan(one.price.totalCents)
  })
  test('is refused where the paint cannot spare the polish under it', async () => {
    await db('removals').insert({
      vehicle_id: car.id,
      job_id: null,
      panel: 'roof',
      day: TODAY,
      removed_um_x10: 70,
      uncertainty_um_x10: 5,
      source: 'told',
      note: 'test',
      written_at: NOW,
    })
    const layers = (await paintOf()).products
    const refused = await repairOffer(db, shop, visit, ['roof'], layers, true)
    expect(refused).toMatchObject({ message: expect.stringContaining(`no-paint-to-spare{"panels":["roof"]`) })
    await db('removals').where({ note: 'test' }).delete()
  })
  test('comes into the schedule on a day that has room, with nobody else moved; a day that is past is refused', async () => {
    await handOver(db, visit, [], NOW)
    const offer = await offered()
    const before = await db('published').orderBy(['job_id', 'operation_id'])
    const past = await bookShortJob(db, NOW, offer, {
      vehicleId: car.id,
      day: plusDays(TODAY, -1),
      wishes: '',
    })
    expect(past).toMatchObject({ message: ask('past-day') })
    const [day] = daysFor(await loadFloor(db, NOW), offer.plan, sizeOf(car), TODAY)
    const booked = await bookShortJob(db, NOW, offer, {
      vehicleId: car.id,
      day: day!.day,
      wishes: 'Bonnet.',
      fromJobId: visit.id,
      onGuarantee: true,
    })
    if ('message' in booked) throw new Error(booked.message)
    repairId = booked.jobId
    const entry = (await loadFloor(db, NOW)).jobs.find(({ job }) => job.id === repairId)!
    expect(entry.live!.published).toHaveLength(offer.plan.operations.length)
    expect(entry.agreement!.promisedFor).toBe(day!.collectAt)
    const kept = await db('published').whereNot('job_id', repairId).orderBy(['job_id', 'operation_id'])
    expect(kept).toEqual(before)
    expect((await listDue(db, 'booked', TODAY)).cars.map(({ vehicle }) => vehicle.plate)).toEqual([car.plate])
  })
  test('once it is applied the bonnet is young again, and the paint it took stands in the ledger', async () => {
    const { plan } = (await findAgreement(db, toJobId(repairId)))!
    let at = plusMinutes(NOW, 60)
    for (const operation of plan.operations) {
      const end = plusMinutes(at, operation.minutes)
      await recordFinish(db, {
        jobId: toJobId(repairId),
        operationId: operation.id,
        startedAt: at,
        endedAt: end,
        by: toPersonId('merle'),
        ...(operation.kind === 'layer'
          ? {
              layer: {
                productId: operation.productId!,
                lot: 'ES-9',
                climate: { airC: 18, rhPercent: 50, panelC: 18 },
              },
            }
          : {}),
      })
      at = end
    }
    const before = (await loadLedger(db, car.id)).length
    await handOverJob(db, (await findJob(db, toJobId(repairId)))!, 'Europe/Dublin', at)
    const ledger = await loadLedger(db, car.id)
    expect(ledger.slice(before).map(({ panel }) => panel)).toEqual(['bonnet'])
    expect(ledger.at(-1)!.removedUm).toBeGreaterThan(0.3)
    const { surfaces } = await loadProtection(db, shop, car, at)
    const bonnet = surfaces[0]!.outlook.units.find(({ id }) => id === 'bonnet')!
    expect(bonnet.holds).toBeGreaterThan(0.99)
    // What lies on most of the car still says how old the coating is.
    expect(surfaces[0]!.laidOn < plusDays(TODAY, -300)).toBe(true)
    expect((await loadLessons(db, TODAY, plusDays(TODAY, 9))).map(({ packageKey }) => packageKey)).toEqual([
      'repair',
    ])
  })
  test('a panel somebody polished since has no coat any more', async () => {
    await db('removals').insert({
      vehicle_id: car.id,
      job_id: null,
      panel: 'roof',
      day: plusDays(TODAY, -3),
      removed_um_x10: 10,
      uncertainty_um_x10: 5,
      source: 'told',
      note: 'polished at the dealer',
      written_at: NOW,
    })
    expect((await paintOf()).units.map(({ id }) => id)).not.toContain('roof')
    await db('removals').where({ note: 'polished at the dealer' }).delete()
    expect((await paintOf()).units.map(({ id }) => id)).toContain('roof')
  })
  test('a visit has its plan and price, with the topper of the shop', () => {
    const offer = visitOffer(shop, car, { tax: 'as-usual' })
    expect(offer.plan.operations.map(({ kind }) => kind)).toEqual(['wash', 'look', 'layer', 'finish'])
    expect(offer.price.totalCents).toBeGreaterThan(10_000)
    // Who is charged no tax is charged none on a visit, too.
    const { price } = visitOffer(shop, car, { tax: 'none' })
    expect(price).toMatchObject({ totalCents: offer.price.netCents, taxCents: 0, taxes: [] })
  })
})

describe('the line of a vehicle', () => {
  test('holds all its stays, the latest first, with layers, water and money', async () => {
    const timeline = await loadTimeline(db, shop, car.id)
    const stays = timeline.flatMap((entry) => (entry.kind === 'stay' ? [entry] : []))
    expect(stays.map(({ job }) => job.kind)).toEqual(['repair', 'visit', 'visit', 'work'])
    expect(stays.map(({ at }) => at)).toEqual(
      stays
        .map(({ at }) => at)
        .toSorted()
        .toReversed(),
    )
    expect(stays[0]!.coats.map(({ where }) => where)).toEqual(['bonnet'])
    expect(stays[1]!.waters).toMatchObject({ wets: 1 })
    expect(stays[3]!.paidCents).toBe(stays[3]!.totalCents)
  })
  test('film over the years shows no change where paint was only polished: it is added back', async () => {
    const { film, gloss } = await loadTrends(db, car, 'Europe/Dublin')
    const read = film.filter(({ rounds }) => rounds.length >= 3)
    expect(read.length).toBeGreaterThan(3)
    expect(read.filter(({ trend }) => trend?.isReal).length).toBeLessThanOrEqual(1)
    expect(gloss.length).toBe(panelsOf(car.shape).length)
  })
  test('care knows how many corrections the paint still has', async () => {
    const care = await loadVehicleCare(db, shop, car, NOW)
    const bonnet = care.corrections.find(({ panel }) => panel === 'bonnet')!.left
    expect(bonnet.polishes).toBeGreaterThan(0)
    expect(bonnet.polishes).toBeLessThan(10)
    expect(care.plan.some(({ kind }) => kind === 'visit')).toBe(true)
  })
})

describe('the owner’s page', () => {
  const pixel = { hash: 'a'.repeat(64), width: 3, height: 2, takenAt: NOW }
  let token: string
  let other: Vehicle
  beforeAll(async () => {
    token = (await makeOwnerLink(db, car.id, NOW, plusMinutes(NOW, 1440)))!
    other = (await listKnown(db)).known.find(({ vehicle }) => vehicle.id !== car.id)!.vehicle
    for (const [vehicle, hash] of [
      [car, 'b'.repeat(64)],
      [other, 'c'.repeat(64)],
    ] as const) {
      const { id: jobId } = (await db('jobs').where({ vehicle_id: vehicle.id }).first('id'))!
      const before = await addPhoto(db, { ...pixel, jobId, place: 'bonnet', phase: 'before', hash })
      const after = `${hash.slice(1)}d`
      await addPhoto(db, {
        ...pixel,
        jobId,
        place: 'bonnet',
        phase: 'after',
        hash: after,
        samePlaceAs: before.id,
      })
    }
  })
  const open = (at: Instant = NOW, with_ = token) => loadOwnerPage(db, shop, with_, at)
  test('shows their vehicle, and photographs of it and of no other', async () => {
    const page = await open()
    expect(page!.known.vehicle.id).toBe(car.id)
    expect(page!.pairs).toHaveLength(1)
    expect(await mayShowPhoto(db, token, 'b'.repeat(64), NOW)).toBe(true)
    expect(await mayShowPhoto(db, token, 'c'.repeat(64), NOW)).toBe(false)
    expect(await mayShowPhoto(db, 'x'.repeat(24), 'b'.repeat(64), NOW)).toBe(false)
    // A photograph that is taken back leaves the page, too.
    expect(await mayShowPhoto(db, token, 'a'.repeat(64), NOW)).toBe(false)
  })
  test('carries no money, no message and nobody else’s name', async () => {
    await queueMessage(
      db,
      {
        key: 'secret',
        customerId: (await findKnown(db, car.id))!.customer.id,
        vehicleId: car.id,
        occasion: 'words',
        language: 'en',
        channel: 'email',
        address: 'x@inchmoyle.example',
        subject: 'Secret subject',
        text: 'Secret text',
        notBefore: NOW,
      },
      NOW,
    )
    const told = JSON.stringify(await open())
    const others = (await db('customers').whereNot('name', BONNET_CAR.customerName).pluck('name')) as string[]
    for (const name of others) expect(told).not.toContain(name)
    for (const secret of ['Secret', 'cents":', 'totalCents', 'priceLines']) expect(told).not.toContain(secret)
  })
  test('ends with its day, when it is taken back, and when the car is sold', async () => {
    expect(await open(plusMinutes(NOW, 1441))).toBeUndefined()
    const second = (await makeOwnerLink(db, car.id, NOW, plusMinutes(NOW, 1440)))!
    const hashes = (await listOwnerLinks(db, car.id)).map(({ hash }) => hash)
    expect(hashes).toHaveLength(2)
    expect(JSON.stringify(hashes)).not.toContain(second)
    for (const hash of hashes) await revokeOwnerLink(db, hash, NOW)
    expect(await open()).toBeUndefined()
    expect(await open(NOW, second)).toBeUndefined()
    const third = (await makeOwnerLink(db, car.id, NOW, plusMinutes(NOW, 1440)))!
    expect(await vehicleOfLink(db, third, NOW)).toBeDefined()
    const owner = (await findKnown(db, car.id))!.customer.id
    const buyer = (await findKnown(db, other.id))!.customer.id
    await db('vehicles').where({ id: car.id }).update({ customer_id: buyer })
    expect(await open(NOW, third)).toBeUndefined()
    const bought = (await makeOwnerLink(db, car.id, NOW, plusMinutes(NOW, 1440)))!
    // The buyer sees the car, and none of the former owner's stays.
    expect((await open(NOW, bought))!.pairs).toEqual([])
    await db('vehicles').where({ id: car.id }).update({ customer_id: owner })
  })
  test('a wish needs a link that is open, a day that is to come, and is taken once', async () => {
    const wish = async (token: string, fromDay: string) => {
      const call = { key: randomUUID(), input: { token, fromDay, words: ' Soon, please ' } }
      return (await perform(db, askForVisit, call, { caller: CUSTOMER, at: NOW })).ok
    }
    const fresh = (await makeOwnerLink(db, other.id, NOW, plusMinutes(NOW, 1440)))!
    expect(await wish('x'.repeat(24), '2027-02-01')).toBe(false)
    expect(await wish(fresh, '2027-01-12')).toBe(false)
    expect(await wish(fresh, '2029-01-12')).toBe(false)
    expect(await wish(fresh, 'soon')).toBe(false)
    expect(await wish(fresh, '2027-02-01')).toBe(true)
    expect(await wish(fresh, '2027-02-01')).toBe(false)
    expect(await openWishes(db, other.id)).toMatchObject([{ words: 'Soon, please', fromDay: '2027-02-01' }])
  })
  test('no table holds what a link is made of', async () => {
    const fresh = (await makeOwnerLink(db, car.id, NOW, plusMinutes(NOW, 1440)))!
    expect(JSON.stringify(await db('owner_links'))).not.toContain(fresh)
  })
})

describe('what is to be said today', () => {
  test('is proposed once, and not again once it is in the queue', async () => {
    const { proposed } = await proposeMessages(db, shop, NOW)
    expect(new Set(proposed.map(({ due }) => due.key)).size).toBe(proposed.length)
    const first = proposed.find(({ route }) => route.kind === 'send')!
    const words = (await loadTemplates(db))(first.due.occasion, first.customer.language)
    const text = writtenOut(words, shop, first, first.due.facts)
    if (!text.ok) throw new Error(text.error.message)
    const { customer, vehicle, due } = first
    const message = { customer, vehicle, key: due.key, occasion: due.occasion, text: text.value }
    expect((await putIntoQueue(db, shop, message, NOW)).kind).toBe('queued')
    expect((await putIntoQueue(db, shop, message, NOW)).kind).toBe('known')
    const { proposed: again } = await proposeMessages(db, shop, NOW)
    expect(again.some((each) => each.due.key === due.key)).toBe(false)
    expect(again).toHaveLength(proposed.length - 1)
  })
  test('goes in the morning where it is written at night, and not without consent', async () => {
    const night = instantOrThrow('2027-01-13T23:00:00Z')
    const { proposed } = await proposeMessages(db, shop, night)
    const reminder = proposed.find(
      ({ route, due }) => route.kind === 'send' && due.occasion.startsWith('visit'),
    )!
    const { customer, vehicle, due } = reminder
    const message = { vehicle, key: due.key, occasion: due.occasion, text: { subject: 's', text: 't' } }
    const refused = await putIntoQueue(
      db,
      shop,
      { ...message, customer: { ...customer, mayRemind: false } },
      night,
    )
    expect(refused.kind).toBe('refused')
    const queued = await putIntoQueue(db, shop, { ...message, customer }, night)
    expect(queued).toEqual({ kind: 'queued', notBefore: '2027-01-14T08:00:00.000Z' })
  })
})

describe('the history that is handed on', () => {
  test('reads back to the letter, and names no owner, message or money', async () => {
    const file = (await historyFile(db, shop, car.id, NOW))!
    const read = readHistory(file)
    if (!read.ok) throw new Error(read.error.code)
    expect(writeHistory(read.value)).toBe(file)
    expect(read.value.stays.map(({ kind }) => kind)).toEqual(['work', 'visit', 'visit', 'repair'])
    expect(read.value.ledger.length).toBe((await loadLedger(db, car.id)).length)
    for (const secret of [BONNET_CAR.customerName, BONNET_CAR.phone, 'Secret', '€'])
      expect(file).not.toContain(secret)
    expect(file).not.toMatch(/cents/i)
  })
  test('takes its photographs along, small, the latest first where there are too many', async () => {
    const colours = ['#357', '#753', '#735']
    for (const [at, background] of colours.entries()) {
      const create = { width: 900, height: 600, channels: 3 as const, background }
      const kept = await storePhoto(await sharp({ create }).png().toBuffer())
      if (!kept.ok) throw new Error(kept.error.code)
      await addPhoto(db, {
        ...kept.value,
        jobId: visit.id,
        place: 'bonnet',
        phase: 'before',
        takenAt: plusMinutes(NOW, at),
      })
    }
    const history = await withPictures((await loadHistory(db, shop, car.id, NOW))!)
    const pictures = history.stays.flatMap(({ photographs }) =>
      photographs.flatMap(({ picture }) => picture ?? []),
    )
    expect(pictures).toHaveLength(colours.length)
    const { format, width } = await sharp(Buffer.from(pictures[0]!, 'base64')).metadata()
    expect([format, width]).toEqual(['jpeg', 360])
    // What fits into a file is of the last stays; what does not is still named.
    const large = 'A'.repeat(1_000_000)
    const photograph = {
      place: 'roof',
      phase: 'after' as const,
      takenAt: NOW,
      sha256: 'f'.repeat(64),
      picture: large,
    }
    const [first, ...rest] = history.stays
    const crowded = { ...history, stays: [{ ...first!, photographs: Array(5).fill(photograph) }, ...rest] }
    const fitted = await withPictures(crowded)
    expect(fitted.stays[0]!.photographs.map(({ picture }) => picture !== undefined)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ])
    expect(fitted.stays.slice(1)).toEqual(history.stays.slice(1))
  })
  test('is read by another shop: the car is known there with its ledger, and handed on with both histories', async () => {
    const file = (await historyFile(db, shop, car.id, NOW))!
    const there = await openDatabase(path.join(folder, 'there.db'))
    // It applies the same products, under its own set-up.
    await becomeFernYard(there, NOW)
    const brought = await bringHistory(there, file, 'Conn Saltmarsh', NOW)
    if (brought.kind === 'refused') throw new Error(brought.message)
    const sum = async (base: Knex, id: string) =>
      (await loadLedger(base, toVehicleId(id))).reduce((all, { removedUm }) => all + removedUm, 0)
    expect(await sum(there, brought.vehicleId)).toBeCloseTo(await sum(db, car.id), 6)
    expect((await findKnown(there, brought.vehicleId))!.customer.name).toBe('Conn Saltmarsh')
    expect(await listBrought(there, brought.vehicleId)).toHaveLength(1)
    // What lies on it and what was seen of it is counted there as it is here, but not on their guarantee.
    const shopThere = await loadShop(there)
    const carThere = (await findKnown(there, brought.vehicleId))!.vehicle
    const paintThere = (await loadProtection(there, shopThere, carThere, NOW)).surfaces[0]!
    const here = await paintOf()
    expect(paintThere.laidOn).toBe(here.laidOn)
    expect(paintThere.units.map(({ id, last }) => [id, last?.water])).toEqual(
      here.units.map(({ id, last }) => [id, last?.water]),
    )
    expect(paintThere.products.every(({ guaranteeMonths }) => guaranteeMonths === 0)).toBe(true)
    const [due] = (await listDue(there, 'all', TODAY)).cars
    expect(due!.vehicle.id).toBe(brought.vehicleId)
    expect(due!.dates).toMatchObject({ laidOn: here.laidOn, productId: here.products.at(-1)!.id })
    expect(due!.dates.guaranteeUntil).toBeUndefined()
    const on = readHistory((await historyFile(there, await loadShop(there), brought.vehicleId, NOW))!)
    expect(on.ok && on.value.stays).toHaveLength(4)
    // The photographs lie in the file alone, and go on with it.
    const pictures =
      on.ok && on.value.stays.flatMap((stay) => stay.photographs.flatMap((each) => each.picture ?? []))
    expect(pictures).toHaveLength(3)
    expect(await bringHistory(there, file, 'Conn Saltmarsh', NOW)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('ask:vehicle-known'),
    })
    await there.destroy()
  })
  test.each([
    ['no JSON', 'PDF-1.7', 'no JSON'],
    ['another format', '{"format":"other/2"}', 'other/2'],
    ['a damaged one', undefined, 'damaged at “stays.0.day”'],
  ])('%s is refused with what to do, and nothing is written', async (_, text, said) => {
    const file =
      text ?? (await historyFile(db, shop, car.id, NOW))!.replace(/"day": "[^"]*"/, '"day": "2026-02-31"')
    const before = await db('vehicles').count({ n: '*' })
    const refused = await bringHistory(db, file, 'Somebody', NOW)
    expect(refused).toMatchObject({ kind: 'refused', message: expect.stringContaining(said) })
    expect(await db('vehicles').count({ n: '*' })).toEqual(before)
  })
})

describe('what the shop has learned in two years', () => {
  test('one package loses money, and the cutting with wool is found to take longer', async () => {
    const learned = await loadLearned(db, shop, NOW, 24)
    expect(learned.packages.filter(({ actual }) => actual.leftCents < 0).map(({ key }) => key)).toEqual([
      'boathouse',
    ])
    const wool = learned.pace.find(({ key }) => key === 'two-step-wool:cut')!
    expect(wool.worthAccepting).toBe(true)
    expect(wool.factor).toBeGreaterThan(1.3)
    expect(learned.clearing.length).toBeGreaterThan(2)
    expect(learned.onTime.reduce((sum, { cars }) => sum + cars, 0)).toBe(learned.jobs)
    // Every bay of every month, the first and the last as far as they are looked at.
    expect(learned.bays).toHaveLength(shop.setup.places.length * 25)
    const hours = (of: 'openHours' | 'usedHours') => learned.bays.reduce((sum, bay) => sum + bay[of], 0)
    expect(hours('usedHours')).toBeGreaterThan(0.03 * hours('openHours'))
    for (const { openHours, usedHours, stoodHours } of learned.bays) {
      expect(usedHours).toBeLessThanOrEqual(openHours + 1e-9)
      expect(usedHours).toBeLessThanOrEqual(stoodHours + 1e-9)
    }
    // From the early shift to the late one, five days a week and on Saturdays.
    const loft = learned.bays.filter(({ place }) => place === 'loft-1')
    const perWeek = loft.reduce((sum, { openHours }) => sum + openHours, 0) / (730 / 7)
    expect(perWeek).toBeGreaterThan(30)
    expect(perWeek).toBeLessThan(80)
  })
  test('what the manager takes over is what plans reckon with, and a stale screen is not taken', async () => {
    const version = await shopVersion(db)
    expect(await saveLearned(db, version, { pace: { 'two-step-wool:cut': 1.44 } })).toBe(true)
    expect((await loadShop(db)).setup.pace).toEqual({ 'two-step-wool:cut': 1.44 })
    expect(await saveLearned(db, version, { pace: {} })).toBe(false)
  })
})

test('money that was paid is on the line, a payment taken back is not', async () => {
  await addPayment(db, toJobId(repairId), { cents: 500, way: 'cash', note: '', at: NOW })
  const stay = (await loadTimeline(db, shop, car.id)).find(
    (entry) => entry.kind === 'stay' && entry.job.id === repairId,
  )
  expect(stay).toMatchObject({ paidCents: 500 })
})

describe('the lists keep up with the calendar', () => {
  const handedOver = () =>
    db('vehicles')
      .whereIn('id', db('jobs').whereNotNull('handed_over_at').select('vehicle_id'))
      .orderBy('id')
      .select('id', 'care_checked_on')
  test('nobody’s dates are worked out again within a week', async () => {
    // The shop comes with dates of the days before: here all of them are to be worked out.
    await db('vehicles').update({ care_checked_on: null })
    while (await refreshStalest(db, shop, NOW));
    // A car that was handed over in one of these tests has a later day.
    expect((await handedOver()).every(({ care_checked_on }) => care_checked_on! >= TODAY)).toBe(true)
    expect(await refreshStalest(db, shop, plusMinutes(NOW, 6 * 1440))).toBe(false)
  })
  test('half a year on every car has been through once, and the list says what each car’s own page says', async () => {
    const later = plusMinutes(NOW, 182 * 1440)
    const listed = async () =>
      new Map(
        (await db('care_dates').select('vehicle_id', 'failing')).map((row) => [row.vehicle_id, row.failing]),
      )
    const before = await listed()
    let rounds = 0
    while (await refreshStalest(db, shop, later)) rounds++
    expect(rounds).toBe((await handedOver()).length)
    const after = await listed()
    for (const [id, failingPanels] of after) {
      const known = (await findKnown(db, id))!.vehicle
      const alone = failing(await loadProtection(db, shop, known, later)).filter((each) => each.alone)
      expect(failingPanels).toBe(alone.length)
    }
    // Nothing but the calendar has moved.
    expect([...after].some(([id, panels]) => panels !== before.get(id))).toBe(true)
  })
  test('a car whose dates cannot be worked out stops nobody else’s, and is left for a week', async () => {
    const later = plusMinutes(NOW, 800 * 1440)
    const [first] = await db('vehicles')
      .whereIn('id', db('jobs').whereNotNull('handed_over_at').select('vehicle_id'))
      .orderBy(['care_checked_on', 'id'])
      .select('id', 'shape')
    await db.raw('PRAGMA ignore_check_constraints = ON')
    await db('vehicles').where({ id: first!.id }).update({ shape: 'zeppelin' })
    await expect(refreshStalest(db, shop, later)).rejects.toThrow()
    expect(await refreshStalest(db, shop, later)).toBe(true)
    await db('vehicles').where({ id: first!.id }).update({ shape: first!.shape })
    await db.raw('PRAGMA ignore_check_constraints = OFF')
  })
})

describe('the week in which a season begins', () => {
  const FROST = instantOrThrow('2026-11-03T10:00:00Z')
  const proposedOn = async (at: Instant) =>
    (await proposeMessages(db, shop, at)).proposed.map(({ due }) => due)
  test('everybody whose coat still holds is proposed one word of it, and nobody else', async () => {
    const frost = (await proposedOn(FROST)).filter(({ occasion }) => occasion === 'frost-and-salt')
    const holding = await db('care_dates').where('good_mid', '>=', '2026-11-03').pluck('vehicle_id')
    expect(holding.length).toBeGreaterThan(5)
    expect(frost.map(({ vehicleId }) => vehicleId).toSorted()).toEqual(holding.toSorted())
  })
  test('the first so many are shown and the rest is counted', async () => {
    const all = await proposedOn(FROST)
    const { proposed, more } = await proposeMessages(db, shop, FROST, 3)
    expect(proposed.map(({ due }) => due.key)).toEqual(all.slice(0, 3).map(({ key }) => key))
    expect(more).toBe(all.length - 3)
  })
  test('who was told or left out is not proposed again that winter, but the next', async () => {
    const [told, left] = (await proposedOn(FROST)).filter(({ occasion }) => occasion === 'frost-and-salt')
    const known = (await findKnown(db, told!.vehicleId))!
    const text = { subject: 's', text: 't' }
    const customer = { ...known.customer, mayRemind: true, email: 'a@b.example' }
    await putIntoQueue(
      db,
      shop,
      { ...known, customer, key: told!.key, occasion: told!.occasion, text },
      FROST,
    )
    await skipMessage(db, left!.key, FROST)
    const keys = (await proposedOn(plusMinutes(FROST, 1440))).map(({ key }) => key)
    expect(keys).not.toContain(told!.key)
    expect(keys).not.toContain(left!.key)
    await db('care_dates')
      .where({ vehicle_id: left!.vehicleId })
      .update({ good_mid: localDayOrThrow('2029-01-01') })
    const next = (await proposedOn(instantOrThrow('2027-11-03T10:00:00Z'))).map(({ key }) => key)
    expect(next).toContain(`frost-and-salt:${left!.vehicleId}:2027-11-01`)
  })
  test('a shop whose winter begins in October tells of it then', async () => {
    const { quiet, climate } = shop.setup
    const kept = { quiet, climate: { ...climate, frost: { from: 10, to: 4 } } }
    expect(await saveQuietAndClimate(db, await shopVersion(db), kept)).toBe(true)
    const north = await loadShop(db)
    const october = (await proposeMessages(db, north, instantOrThrow('2026-10-02T10:00:00Z'))).proposed
    expect(october.some(({ due }) => due.occasion === 'frost-and-salt')).toBe(true)
    const november = (await proposeMessages(db, north, FROST)).proposed
    expect(november.some(({ due }) => due.occasion === 'frost-and-salt')).toBe(false)
  })
})

import path from 'node:path'
import { describe, expect, test } from 'vitest'
import { ask } from '@/core/asks'
import { toCustomerId, toJobId, toPersonId } from '@/core/ids'
import { type Choices, chosenOffer, daysOfCalendar, quoteState, termsSchema } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { everyone } from '@/core/shop'
import { dayIn, instantOrThrow, plusMinutes } from '@/core/time'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { loadFloor } from '../floor/floor'
import { agreedCut, removalsOf } from '../handover/hand-over'
import { loadPublished } from '../planning/plan-store'
import { whyNotPlaced } from '../planning/why-not-placed'
import { loadShop, savePackages, savePrices, shopVersion } from '../shop/shop-store'
import { loadPaintStudy } from '../survey/paint-memory'
import { addAttempt, attemptsOfJobs, listAttempts, withdrawAttempt } from '../survey/spot-store'
import { agreeQuote, writeOffer } from './agreeing'
import { findAgreement } from './agreement-store'
import { loadWorked, offersFor, whenForPlan } from './offers'
import { decideQuote, listQuotes } from './quote-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const LATER = plusMinutes(NOW, 20 * 1440)

const shop = demoShop(NOW)

const jobOf = (floor: Floor, plate: string) => floor.jobs.find(({ job }) => job.vehicle.plate === plate)!.job
const terms = termsSchema.parse({ depositPercent: 20 })
const choices = (packageKey: string, more: Partial<Choices> = {}): Choices => ({
  packageKey,
  extras: [],
  terms,
  ...more,
})

/** Works out what would stand on the screen, and writes it. */
async function write(plate: string, chosen: Choices, more: { shownCents?: number; mustFit?: boolean } = {}) {
  const floor = await loadFloor(shop.db, NOW)
  const job = jobOf(floor, plate)
  const { input } = await loadWorked(shop.db, floor.shop, job)
  const offer = chosenOffer(floor.shop.setup.packages, input, chosen)
  const written = await writeOffer(shop.db, floor, job.id, chosen, {
    shownCents: offer?.price.totalCents ?? 0,
    note: 'both keys, please',
    mustFit: false,
    ...more,
  })
  return { job, offer, written }
}

describe('0003-quotes, on a database from before', () => {
  test('adds its tables and leaves what stands there', async () => {
    const file = path.join(shop.folder, 'old.db')
    const old = connect(file)
    await migrate(old, MIGRATIONS.slice(0, 2))
    const customer = {
      id: toCustomerId('c'),
      name: 'Ita',
      phone: '',
      email: '',
      may_remind: 0 as const,
      created_at: NOW,
    }
    await old('customers').insert(customer)
    expect(await migrate(old, MIGRATIONS.slice(0, 3))).toEqual(['0003-quotes'])
    expect(await old('customers')).toMatchObject([{ id: 'c', name: 'Ita' }])
    expect(await listQuotes(old, toJobId('j'))).toEqual([])
    expect(await listAttempts(old, toJobId('j'))).toEqual([])
    await old.destroy()
  })
})

describe('test spots', () => {
  test('are kept in the order they were made, and a slip is set aside, once', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { id } = jobOf(floor, 'IM 4471')
    const kept = await listAttempts(shop.db, id)
    expect(kept.map(({ process, verdict }) => [process, verdict])).toEqual([
      ['one-step-cut', 'more'],
      ['two-step', 'enough'],
    ])
    const { id: _, madeAt, ...attempt } = kept[0]!
    const slip = await addAttempt(
      shop.db,
      id,
      { ...attempt, note: 'slip' },
      undefined,
      plusMinutes(madeAt, 600),
    )
    expect(await listAttempts(shop.db, id)).toHaveLength(3)
    expect(await withdrawAttempt(shop.db, id, slip, NOW)).toBe(true)
    expect(await withdrawAttempt(shop.db, id, slip, NOW)).toBe(false)
    expect(await listAttempts(shop.db, id)).toEqual(kept)
    expect((await attemptsOfJobs(shop.db, [id])).get(id)).toEqual(kept)
    expect(await shop.db('test_spots').where({ id: slip }).first()).toMatchObject({ withdrawn_at: NOW })
  })
  test('teach the shop about the next car with that paint, and finished jobs do too', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { setup } = floor.shop
    const sister = await loadPaintStudy(shop.db, jobOf(floor, 'IM 5012'), setup)
    expect(
      sister.memory.some(({ paint, settled }) => paint.colourCode === 'G19' && settled === 'two-step'),
    ).toBe(true)
    // Wilf’s car was read before and after; nobody made a test spot on it.
    const finished = sister.memory.filter(({ paint, give }) => paint.colour === 'Rowan red' && give)
    expect(finished.length).toBeGreaterThan(0)
    expect(finished.every(({ settled }) => settled === undefined)).toBe(true)
  })
  test('are not told to a car with another kind of paint, nor back to the car itself', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { setup } = floor.shop
    expect((await loadPaintStudy(shop.db, jobOf(floor, 'IM 19'), setup)).memory).toEqual([])
    const own = await loadPaintStudy(shop.db, jobOf(floor, 'IM 4471'), setup)
    expect(own.attempts).toHaveLength(2)
    expect(own.memory.some(({ settled }) => settled === 'two-step')).toBe(false)
  })
})

describe('a quote', () => {
  test('is written as it stands on the screen, version after version, and the older are replaced', async () => {
    const first = await write('IM 8803', choices('tideline'))
    expect(first.written).toMatchObject({ version: 1 })
    const discounted = choices('headland', { terms: { ...terms, discountPercent: 10 } })
    const second = await write('IM 8803', discounted)
    expect(second.written).toMatchObject({ version: 2 })
    const quotes = await listQuotes(shop.db, first.job.id)
    expect(quotes.map((quote) => quoteState(quote, quotes.length, NOW).kind)).toEqual(['superseded', 'open'])
    expect(quotes[1]).toMatchObject({
      packageName: 'Headland',
      totalCents: second.offer!.price.totalCents,
      choices: discounted,
      note: 'both keys, please',
      summary: { depositCents: second.offer!.price.depositCents, care: 'usual' },
    })
    expect(quotes[1]!.summary.priceLines.at(-1)).toMatchObject({ kind: 'discount', percent: 10 })
  })
  test('holds through the whole of its last day where the shop stands', async () => {
    const quote = (await listQuotes(shop.db, jobOf(await loadFloor(shop.db, NOW), 'IM 8803').id)).at(-1)!
    expect(dayIn('Europe/Dublin', plusMinutes(quote.validUntil, -1))).toBe('2027-01-27')
    expect(dayIn('Europe/Dublin', quote.validUntil)).toBe('2027-01-28')
  })
  test('at another price than the one on the screen is refused, and nothing is written', async () => {
    const { job, written } = await write('IM 8803', choices('tideline'), { shownCents: 1 })
    expect(written).toMatchObject({ message: ask('price-changed') })
    expect(await listQuotes(shop.db, job.id)).toHaveLength(2)
  })
  test.each([
    ['a package that is not sold', 'IM 8803', choices('gone'), ask('package-gone')],
    ['a coating that pulls old colour', 'IM 19', choices('lantern'), 'strong solvent'],
    ['an unmeasured car', 'IM 6127', choices('tideline'), ask('unmeasured')],
    ['a car that is agreed already', 'IM 77', choices('tideline'), 'agreed-already'],
  ])('for %s is refused in words', async (_, plate, chosen, words) => {
    expect((await write(plate, chosen)).written).toMatchObject({ message: expect.stringContaining(words) })
  })
  test('is declined with what they said, once; then it cannot be accepted', async () => {
    const { job } = await write('IM 19', choices('tideline'))
    const no = { said: 'declined' as const, at: NOW, words: 'too dear' }
    expect(await decideQuote(shop.db, job.id, 1, no)).toBe(true)
    expect(await decideQuote(shop.db, job.id, 1, { ...no, words: 'again' })).toBe(false)
    expect((await listQuotes(shop.db, job.id))[0]!.decision).toEqual(no)
    expect(await agreeQuote(shop.db, job.id, 1, NOW)).toMatchObject({
      message: ask('quote-declined'),
    })
  })
  test('past its day, replaced, or not there, is not accepted', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { id } = jobOf(floor, 'IM 8803')
    for (const [version, at, words] of [
      [2, LATER, ask('quote-expired')],
      [1, NOW, ask('quote-replaced')],
      [9, NOW, ask('quote-gone')],
    ] as const)
      expect(await agreeQuote(shop.db, id, version, at)).toMatchObject({
        message: expect.stringContaining(words),
      })
    expect(await findAgreement(shop.db, id)).toBeUndefined()
  })
  test('accepted, is agreed as it was written though the shop has changed its prices since', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { id } = jobOf(floor, 'IM 8803')
    const quote = (await listQuotes(shop.db, id)).at(-1)!
    const { setup } = await loadShop(shop.db)
    const percent = { work: 30, products: 30, subcontractors: 30 }
    const dearer = { ...setup, rates: { ...setup.rates, tax: { ...setup.rates.tax, percent } } }
    await shop
      .db('shop')
      .where({ id: 1 })
      .update({ setup: JSON.stringify(dearer) })
    expect(await agreeQuote(shop.db, id, quote.version, NOW)).toBeUndefined()
    expect(await findAgreement(shop.db, id)).toMatchObject({
      totalCents: quote.totalCents,
      plan: quote.plan,
      summary: quote.summary,
    })
    const placed = (await loadPublished(shop.db)).get(id)!
    expect(placed.length).toBe(quote.plan.operations.length)
    // It is not here yet: it comes when its owner was told to bring it.
    const { arriveAt } = jobOf(floor, 'IM 8803')
    expect(arriveAt > NOW).toBe(true)
    const first = placed.map(({ start }) => start).reduce((a, b) => (a < b ? a : b))
    expect(jobOf(await loadFloor(shop.db, NOW), 'IM 8803').arriveAt).toBe(first)
    expect((await listQuotes(shop.db, id)).at(-1)!.decision).toMatchObject({ said: 'accepted', at: NOW })
    await shop
      .db('shop')
      .where({ id: 1 })
      .update({ setup: JSON.stringify(setup) })
    // Whoever presses a second time is told, and the calendar stays.
    expect(await agreeQuote(shop.db, id, quote.version, NOW)).toMatchObject({
      message: ask('quote-accepted'),
    })
  })
  test('what the customer was told is what the ledger is charged with', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const job = jobOf(floor, 'IM 8803')
    const { summary } = (await findAgreement(shop.db, job.id))!
    const cut = agreedCut(summary, job.vehicle.hardness)
    for (const { id, takesUm } of summary.panels) expect(cut[id] ?? 0).toBe(takesUm)
    const nothing = { readings: {}, gloss: {}, clarity: {} }
    const removals = removalsOf(
      job,
      summary,
      { before: nothing, after: nothing, marked: [] },
      dayIn('Europe/Dublin', NOW),
    )
    expect(removals.map(({ panel }) => panel).sort()).toEqual(Object.keys(cut).sort())
  })
})

describe('vendors on their own days', () => {
  test('are planned only when they come', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const job = jobOf(floor, 'IM 19')
    const { input } = await loadWorked(shop.db, floor.shop, job)
    const boathouse = floor.shop.setup.packages.filter(({ key }) => key === 'boathouse')
    const asked = {
      ...input,
      trades: [
        { trade: 'dents' as const, where: [] },
        { trade: 'wheels' as const, where: [] },
      ],
    }
    const [priced] = await offersFor(asked, boathouse, (plans) =>
      plans.map((plan) => whenForPlan(floor, job, plan)),
    )
    if (priced?.when.kind !== 'possible') throw new Error('the restoration finds no room')
    const dents = priced.when.placed.find(({ operation }) => operation === 'vendor-oona-dents')!
    const wheels = priced.when.placed.find(({ operation }) => operation === 'vendor-tam-wheels')!
    expect(dents.people).toEqual(['vendor-oona-dents'])
    expect([2, 4]).toContain(new Date(dents.start).getUTCDay())
    expect(new Date(wheels.start).getUTCDay()).toBe(3)
    const names = new Map(everyone(floor.shop.setup).map(({ id, name }) => [id, name]))
    expect(names.get(toPersonId('vendor-oona-dents'))).toBe('Oona Marsh')
  })
  test('a reason of the calendar speaks of steps by their titles', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const job = jobOf(floor, 'IM 19')
    const { input } = await loadWorked(shop.db, floor.shop, job)
    const boathouse = floor.shop.setup.packages.filter(({ key }) => key === 'boathouse')
    const [priced] = await offersFor(input, boathouse, (plans) =>
      plans.map((plan) => whenForPlan(floor, job, plan)),
    )
    const endless = {
      ...priced!.offer,
      plan: {
        ...priced!.offer.plan,
        operations: priced!.offer.plan.operations.map((operation) =>
          operation.id === 'wipe' ? { ...operation, minutes: 3000 } : operation,
        ),
      },
    }
    const when = whenForPlan(floor, job, endless.plan)
    expect(when.kind).toBe('impossible')
    if (when.kind !== 'impossible') return
    expect(whyNotPlaced(floor, when.reasons, endless.plan)).toContain('“Panel wipe”')
  })
})

describe('the packages of the shop', () => {
  test('are kept all together; who read them before somebody else’s change is refused', async () => {
    const version = await shopVersion(shop.db)
    const { setup } = await loadShop(shop.db)
    const renamed = setup.packages.map((each) =>
      each.key === 'headland' ? { ...each, name: 'Foreland' } : each,
    )
    expect(await savePackages(shop.db, version, renamed)).toBe(true)
    expect(await savePackages(shop.db, version, setup.packages)).toBe(false)
    const after = await loadShop(shop.db)
    expect(after.setup.packages.find(({ key }) => key === 'headland')!.name).toBe('Foreland')
    expect(after.setup.people).toEqual(setup.people)
    expect(await savePackages(shop.db, await shopVersion(shop.db), setup.packages)).toBe(true)
  })
})

describe('prices and vendors of the shop', () => {
  const prices = async () => {
    const { setup } = await loadShop(shop.db)
    return {
      rates: setup.rates,
      terms: setup.terms,
      vendors: setup.vendors.map(({ calendar, ...vendor }) => ({
        ...vendor,
        when: daysOfCalendar(setup.calendars[calendar]!),
      })),
    }
  }
  test('kept as they are, every vendor keeps the calendar with its breaks', async () => {
    const before = (await loadShop(shop.db)).setup
    expect(await savePrices(shop.db, await shopVersion(shop.db), await prices())).toBe(true)
    const after = (await loadShop(shop.db)).setup
    expect(after.vendors).toEqual(before.vendors)
    expect(after.calendars).toEqual(before.calendars)
  })
  test('a vendor on other days gets a calendar of their own, and the others theirs', async () => {
    const kept = await prices()
    const [first, ...others] = kept.vendors
    const when = { days: ['fri' as const], from: '10:00', to: '16:00' }
    expect(
      await savePrices(shop.db, await shopVersion(shop.db), {
        ...kept,
        vendors: [{ ...first!, when }, ...others],
      }),
    ).toBe(true)
    const { setup } = await loadShop(shop.db)
    expect(daysOfCalendar(setup.calendars[setup.vendors[0]!.calendar]!)).toEqual(when)
    expect(setup.vendors[1]!.calendar).toBe('wheel-days')
    expect(everyone(setup).find(({ id }) => id === 'vendor-oona-dents')!.calendar).toBe('vendor-oona-dents')
  })
  test('a new price is on every offer from then on; somebody else’s older page is refused', async () => {
    const version = await shopVersion(shop.db)
    const kept = await prices()
    const dearer = { ...kept, rates: { ...kept.rates, consumablesCents: 9900 } }
    expect(await savePrices(shop.db, version, dearer)).toBe(true)
    expect(await savePrices(shop.db, version, kept)).toBe(false)
    const floor = await loadFloor(shop.db, NOW)
    const { input } = await loadWorked(shop.db, floor.shop, jobOf(floor, 'IM 5012'))
    const offer = chosenOffer(floor.shop.setup.packages, input, choices('tideline'))!
    expect(offer.price.lines.find(({ kind }) => kind === 'consumables')!.cents).toBe(9900)
  })
})

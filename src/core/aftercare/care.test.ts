import fc from 'fast-check'
import ICAL from 'ical.js'
import ical from 'node-ical'
import { linearRegression } from 'simple-statistics'
import { describe, expect, test } from 'vitest'
import catalogue from '../../../demo/catalogue.json'
import { catalogueSchema } from '../coating'
import { instantOrThrow, isLocalDay, type LocalDay, localDayOrThrow, plusDays, plusMonths } from '../time'
import { type CareDate, carePlan, nextMonthStart } from './care-plan'
import { CARE_RULES, careRulesFor } from './care-rules'
import { contactAngle } from './contact-angle'
import { correctionsLeft } from './corrections-left'
import { EXPOSURE_RULES, exposureOf, type Use } from './exposure'
import { GUARANTEE_RULES, type GuaranteeCase, guaranteeFor } from './guarantee'
import { careIcalendar } from './icalendar'
import { careMilestones, isAhead, lifeMonthsOf } from './milestones'
import { dueState, nextVisit, type Rhythm } from './rhythm'
import { trendOf } from './trend'

const day = localDayOrThrow
const products = catalogueSchema.parse(catalogue)
const product = (id: string) => products.find((each) => each.id === id)!
const GENTLE: Use = { storage: 'garage', washing: 'hand', yearlyKm: 8000, salted: false, hardWater: false }
const HARD: Use = { storage: 'street', washing: 'brush', yearlyKm: 30_000, salted: true, hardWater: true }

describe('the contact angle of a drop', () => {
  const degrees = (h: number, d: number) => {
    const angle = contactAngle(h, d)
    if (!angle.ok) throw new Error(angle.error.code)
    return angle.value.degrees
  }
  test('a hemisphere has 90°, whatever its size or unit (geometry)', () => {
    expect(degrees(1, 2)).toBeCloseTo(90, 12)
    expect(degrees(137.5, 275)).toBeCloseTo(90, 12)
  })
  test('a cap cut from a sphere has the angle at which it was cut', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: Math.PI - 0.05, noNaN: true }),
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        (angle, radius) => {
          // Of a sphere of that radius: base 2R·sin θ, height R·(1 − cos θ).
          const [h, d] = [radius * (1 - Math.cos(angle)), 2 * radius * Math.sin(angle)]
          expect(degrees(h, d)).toBeCloseTo((angle * 180) / Math.PI, 6)
        },
      ),
    )
  })
  test('what is no drop is refused by name', () => {
    expect(contactAngle(0, 2)).toMatchObject({ ok: false, error: { code: 'drop-not-positive' } })
    expect(contactAngle(1, -2)).toMatchObject({ ok: false, error: { code: 'drop-not-positive' } })
    expect(contactAngle(Number.NaN, 2)).toMatchObject({ ok: false, error: { code: 'drop-not-a-number' } })
  })
  test('its uncertainty is that of reading the edges (numerical derivative)', () => {
    const angle = contactAngle(1, 2)
    const wider = degrees(1, 2 * 1.0001)
    expect(angle.ok && angle.value.uncertaintyDegrees).toBeGreaterThan((Math.abs(90 - wider) / 0.0001) * 0.02)
  })
})

describe('how a car lives', () => {
  test('a garage and two buckets leave a product its whole life', () =>
    expect(exposureOf(GENTLE)).toEqual({ share: 1, rules: [] }))
  test('every rule can apply, and shortens', () => {
    for (const rule of EXPOSURE_RULES) {
      expect(rule.share).toBeLessThan(1)
    }
    const uses: Use[] = (['unknown', 'garage', 'carport', 'street'] as const).flatMap((storage) =>
      (['unknown', 'hand', 'touchless', 'brush'] as const).flatMap((washing) =>
        [1000, 20_000, 40_000].map((yearlyKm) => ({ ...HARD, storage, washing, yearlyKm })),
      ),
    )
    for (const { id, applies } of EXPOSURE_RULES) expect(uses.some(applies), id).toBe(true)
  })
  test('the hardest life still leaves something', () => {
    const { share } = exposureOf(HARD)
    expect(share).toBeLessThan(0.5)
    expect(share).toBeGreaterThan(0.3)
  })
  test('two layers of one coating last half as long again to twice as long; a top coat rules over its base', () => {
    const light = { ...product('ebb-single'), lifeMonths: 12 }
    expect(lifeMonthsOf([light])).toBe(12)
    // Common practice: 18 to 24 months.
    expect(lifeMonthsOf([light, light])).toBeCloseTo(21, 9)
    const gains = [1, 2, 3, 4].map((count) => lifeMonthsOf(Array(count).fill(light)))
    for (const [at, life] of gains.entries())
      if (at > 1) expect(life - gains[at - 1]!).toBeLessThan(gains[at - 1]! - gains[at - 2]!)
    expect(lifeMonthsOf([product('cladonia-base'), product('tern-top'), product('tern-top')])).toBe(60)
  })
})

describe('the rhythm of visits', () => {
  const base: Rhythm = { laidOn: day('2026-01-10'), firstVisitMonths: 6, exposure: { share: 1 } }
  test('the first comes when the product says so, the next after a year or half of one', () => {
    expect(nextVisit(base)).toEqual({ from: '2026-07-10', until: '2026-08-07', why: 'first' })
    expect(nextVisit({ ...base, lastVisit: day('2026-07-20') }).from).toBe('2027-07-20')
    expect(nextVisit({ ...base, exposure: { share: 0.6 }, lastVisit: day('2026-07-20') }).from).toBe(
      '2027-01-20',
    )
  })
  test('comes sooner before a doubtful end and when the owner asks, never later', () => {
    const soon = nextVisit({ ...base, cautiousEnd: day('2026-05-01') })
    expect(soon).toMatchObject({ from: '2026-04-01', why: 'outlook' })
    expect(nextVisit({ ...base, askedFrom: day('2026-02-02') })).toMatchObject({ why: 'asked' })
    expect(nextVisit({ ...base, cautiousEnd: day('2029-05-01') }).why).toBe('first')
  })
  test('what was just seen to be failing is not called in again the same month', () => {
    const again = nextVisit({ ...base, lastVisit: day('2026-07-20'), cautiousEnd: day('2026-07-22') })
    expect(again.from).toBe('2026-08-20')
  })
  test('a window passes through its states in order, and only forwards', () => {
    const window = { from: day('2026-07-10'), until: day('2026-08-07') }
    const seen = Array.from({ length: 400 }, (_, at) => dueState(window, plusDays(day('2026-06-01'), at)))
    expect([...new Set(seen)]).toEqual(['later', 'soon', 'due', 'overdue', 'lapsed'])
    expect(dueState(window, day('2026-08-07'))).toBe('due')
    expect(dueState(window, day('2026-08-08'))).toBe('overdue')
  })
})

describe('the guarantee', () => {
  const fine: GuaranteeCase = {
    laidOn: day('2025-11-10'),
    seenOn: day('2027-01-13'),
    months: 18,
    visits: [{ until: day('2026-06-07'), keptOn: day('2026-05-30') }],
    washing: 'hand',
    look: { cleaned: true },
    cause: 'wear',
  }
  const broken = (change: Partial<GuaranteeCase>) => {
    const answer = guaranteeFor({ ...fine, ...change })
    return answer.kind === 'yes' ? [] : answer.broken.map(({ id }) => id)
  }
  test('stands for a panel that has just gone', () => {
    expect(guaranteeFor(fine)).toEqual({ kind: 'yes', washed: true })
    expect(guaranteeFor({ ...fine, washing: 'unknown' })).toEqual({ kind: 'yes', washed: false })
  })
  test('every rule can refuse on its own, says why and what to do', () => {
    const changes: Record<string, Partial<GuaranteeCase>> = {
      'no-guarantee': { months: 0 },
      'past-its-term': { months: 12 },
      'visit-missed': { visits: [{ until: day('2026-06-07') }] },
      'brush-washed': { washing: 'brush' },
      'from-outside': { cause: 'etched' },
      'painted-since': { cause: 'repainted' },
      'not-tested-clean': { look: { cleaned: false } },
      'cause-unknown': { cause: 'unknown' },
    }
    for (const { id } of GUARANTEE_RULES) expect(broken(changes[id]!), id).toEqual([id])
  })
  test('asks for what is not known before it refuses or grants; a refusal outweighs a question', () => {
    expect(guaranteeFor({ ...fine, cause: 'unknown' }).kind).toBe('ask')
    expect(guaranteeFor({ ...fine, cause: 'unknown', washing: 'brush' }).kind).toBe('no')
  })
  test('a late visit counts within its grace, and one that is not yet due cannot be missed', () => {
    expect(broken({ visits: [{ until: day('2026-06-07'), keptOn: day('2026-08-01') }] })).toEqual([])
    expect(broken({ visits: [{ until: day('2026-06-07'), keptOn: day('2026-08-30') }] })).toEqual([
      'visit-missed',
    ])
    expect(broken({ visits: [{ until: day('2027-06-07') }] })).toEqual([])
  })
  test('ends on the last day of its term', () => {
    expect(broken({ seenOn: plusMonths(fine.laidOn, 18) })).toEqual([])
    expect(broken({ seenOn: plusDays(plusMonths(fine.laidOn, 18), 1) })).toEqual(['past-its-term'])
  })
})

describe('a trend', () => {
  const points = [0, 0.5, 1.2, 2, 2.6].map((at, i) => ({
    at,
    value: 98 - 1.7 * at + [0.3, -0.4, 0.2, 0, -0.1][i]!,
    sd: 0.5,
  }))
  test('with equal weights is the ordinary line (simple-statistics)', () => {
    const { m, b } = linearRegression(points.map(({ at, value }) => [at, value]))
    const trend = trendOf(points)!
    expect(trend.perYear).toBeCloseTo(m, 9)
    expect(trend.last).toBeCloseTo(b + m * 2.6, 9)
    expect(trend.isReal).toBe(true)
  })
  test('a shaky reading moves the line less than a sure one', () => {
    const wild = (sd: number) => trendOf([...points, { at: 3, value: 110, sd }])!.perYear
    expect(Math.abs(wild(50) - trendOf(points)!.perYear)).toBeLessThan(0.01)
    expect(wild(0.5)).toBeGreaterThan(0)
  })
  test('says nothing of one moment, and does not call noise a change', () => {
    expect(trendOf(points.slice(0, 1))).toBeUndefined()
    expect(trendOf([])).toBeUndefined()
    expect(
      trendOf([
        { at: 0, value: 100, sd: 2 },
        { at: 1, value: 98, sd: 2 },
      ])!.isReal,
    ).toBe(false)
  })
})

describe('how many corrections a paint still has', () => {
  test('counts down as the ledger fills, and is none at its end', () => {
    const whole = correctionsLeft(undefined, 1)
    expect(whole.polishes).toBeGreaterThan(whole.cuts)
    expect(correctionsLeft({ takenUm: 5, uncertaintyUm: 0.5 }, 1).polishes).toBeLessThan(whole.polishes)
    expect(correctionsLeft({ takenUm: 9, uncertaintyUm: 0 }, 1)).toEqual({
      leftUm: 0,
      polishes: 0,
      cuts: 0,
    })
  })
  test('is none where the readings leave nothing, and fewer where the paint gives readily', () => {
    expect(correctionsLeft(undefined, 1, 0)).toEqual({ leftUm: 0, polishes: 0, cuts: 0 })
    expect(correctionsLeft(undefined, 1.6).polishes).toBeLessThan(correctionsLeft(undefined, 0.7).polishes)
  })
  test('what is not surely left does not count, nor what the readings forbid', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (takenUm, uncertaintyUm, budgetUm) => {
          const left = correctionsLeft({ takenUm, uncertaintyUm }, 0.7, budgetUm)
          expect(left.leftUm).toBeLessThanOrEqual(budgetUm)
          expect(left.leftUm).toBeLessThanOrEqual(Math.max(0, 7.6 - takenUm))
        },
      ),
    )
  })
})

const CLIMATE = { seaAir: false, frost: { from: 11, to: 3 }, pollen: { from: 4, to: 6 } }
const input = (change: Partial<Parameters<typeof carePlan>[0]> = {}) => ({
  today: day('2027-01-13'),
  topperFrom: day('2026-05-02'),
  laidOn: day('2026-05-01'),
  use: GENTLE,
  exposure: exposureOf(GENTLE),
  climate: CLIMATE,
  visit: { from: day('2027-05-01'), until: day('2027-05-29'), why: 'rhythm' as const },
  goodUntil: { low: day('2029-01-01'), high: day('2031-01-01') },
  polishesLeft: 4,
  ...change,
})
const kinds = (plan: readonly CareDate[]) => plan.map(({ key }) => key)

test('a day of the care plan has come when it begins where the shop stands, not in Greenwich', () => {
  const first = { when: { kind: 'day', day: '2027-07-02' as LocalDay } } as const
  // Half past midnight in a Dublin summer.
  expect(isAhead(first, instantOrThrow('2027-07-01T23:30:00Z'), 'Europe/Dublin')).toBe(false)
  expect(isAhead(first, instantOrThrow('2027-07-01T22:30:00Z'), 'Europe/Dublin')).toBe(true)
  const dry = { when: { kind: 'instant', at: instantOrThrow('2027-07-01T23:30:00Z') } } as const
  expect(isAhead(dry, instantOrThrow('2027-07-01T23:00:00Z'), 'Europe/Dublin')).toBe(true)
  expect(isAhead(dry, instantOrThrow('2027-07-01T23:30:00Z'), 'Europe/Dublin')).toBe(false)
})

describe('the care plan', () => {
  test('holds toppers, decontamination, the visit and the yearly look at the polish, in order', () => {
    const plan = carePlan(input())
    expect(kinds(plan)).toEqual([
      'topper',
      'decontamination-after-winter',
      'visit-2027-05-01',
      'light-polish-1',
    ])
    expect(plan.map(({ first }) => first)).toEqual(plan.map(({ first }) => first).toSorted())
    expect(plan.find(({ key }) => key === 'decontamination-after-winter')!.first).toBe('2027-04-01')
  })
  test('a visit that was missed stands ahead, not in the past', () => {
    const missed = { from: day('2026-11-25'), until: day('2026-12-23'), why: 'rhythm' as const }
    const visit = carePlan(input({ visit: missed })).find(({ kind }) => kind === 'visit')!
    expect(visit).toMatchObject({ first: '2027-01-13', last: '2027-02-10', key: 'visit-2026-11-25' })
    expect(visit).toMatchObject({ missedBy: '2026-12-23' })
  })
  test('asks more of a car that lives hard', () => {
    const plan = carePlan(input({ use: HARD, exposure: exposureOf(HARD) }))
    expect(plan.find(({ kind }) => kind === 'topper')!.everyWeeks).toBe(2)
    expect(plan.filter(({ kind }) => kind === 'decontamination').map(({ first }) => first)).toEqual([
      '2027-04-01',
      '2027-10-01',
    ])
  })
  test('does not polish what has nothing left, and speaks of a new coat when the end is near', () => {
    const plan = carePlan(
      input({ polishesLeft: 0, goodUntil: { low: day('2027-09-01'), high: day('2028-03-01') } }),
    )
    expect(plan.find(({ kind }) => kind === 'light-polish')).toMatchObject({ spare: false })
    expect(plan.some(({ kind }) => kind === 'renewal')).toBe(true)
  })
  test('where a coating should have ended long ago, recoating stands ahead and says since when', () => {
    const worn = { low: day('2025-07-21'), high: day('2025-10-17') }
    const renewal = carePlan(input({ goodUntil: worn })).find(({ kind }) => kind === 'renewal')!
    expect(renewal).toMatchObject({ first: '2027-01-13', last: '2027-02-10', wornBy: '2025-10-17' })
    const wearing = { low: day('2026-11-01'), high: day('2027-01-13') }
    const still = carePlan(input({ goodUntil: wearing })).find(({ kind }) => kind === 'renewal')!
    expect(still).toEqual({
      key: 'renewal-2026-11-01',
      kind: 'renewal',
      first: '2026-11-01',
      last: '2027-01-13',
    })
  })
  test('has nothing in it that is over', () => {
    const when = fc.integer({ min: -900, max: 900 }).map((days) => plusDays(day('2027-01-13'), days))
    fc.assert(
      fc.property(fc.array(when, { minLength: 4, maxLength: 4 }), (days) => {
        const [from, until, low, high] = days.toSorted() as [LocalDay, LocalDay, LocalDay, LocalDay]
        const plan = carePlan(input({ visit: { from, until, why: 'rhythm' }, goodUntil: { low, high } }))
        for (const { last } of plan) expect(last >= '2027-01-13').toBe(true)
      }),
    )
  })
  test('starts no topper before the coating stands it', () => {
    const plan = carePlan(input({ topperFrom: day('2027-02-02') }))
    expect(plan.find(({ kind }) => kind === 'topper')!.first).toBe('2027-02-02')
  })
  test('its months roll over the year', () => {
    expect(nextMonthStart(day('2027-11-02'), 11)).toBe('2028-11-01')
    expect(nextMonthStart(day('2027-11-01'), 11)).toBe('2027-11-01')
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 1, max: 12 }), (later, month) => {
        const from = plusDays(day('2027-01-01'), later)
        const start = nextMonthStart(from, month)
        expect(isLocalDay(start) && start >= from && start <= plusMonths(from, 12)).toBe(true)
      }),
    )
  })
  test('every rule of care speaks to some car, and brushes are never allowed', () => {
    const cars = [GENTLE, HARD].flatMap((use) =>
      [true, false].map((coated) => ({ ...use, coated, seaAir: coated, guaranteed: coated })),
    )
    for (const rule of CARE_RULES)
      expect(
        cars.some((car) => rule.applies(car)),
        rule.id,
      ).toBe(true)
    for (const car of cars) expect(careRulesFor(car).map(({ id }) => id)).toContain('no-brushes')
    expect(
      careRulesFor({ ...GENTLE, coated: false, seaAir: false, guaranteed: false }).map(({ id }) => id),
    ).not.toContain('no-polish')
  })
})

/** Words of no language: what matters here is that they arrive. */
const worded = <Date extends { key: string }>(date: Date) => ({
  ...date,
  title: `T ${date.key}`,
  text: `What of ${date.key}`,
})

describe('the care plan as a calendar', () => {
  const dates = carePlan(input({ use: HARD, exposure: exposureOf(HARD) }))
  const text = careIcalendar({
    uid: 'vehicle-3',
    vehicle: 'Corvane Nimble; “gorse”, IM 5544',
    shop: 'Fern Yard',
    issued: instantOrThrow('2027-01-13T10:00:00Z'),
    milestones: careMilestones(
      [{ product: product('ebb-single'), ended: instantOrThrow('2027-01-12T16:00:00Z') }],
      'Europe/Dublin',
    ).map(worded),
    dates: dates.map(worded),
  })
  test('node-ical reads every date with its first and last day, and the habit with its rhythm', () => {
    const events = Object.values(ical.sync.parseICS(text)).filter(
      (entry) => entry?.type === 'VEVENT',
    ) as unknown as {
      uid: string
      start: Date
      rrule?: { options: { interval: number; count: number } }
    }[]
    expect(events).toHaveLength(6 + dates.length)
    for (const { key, first } of dates) {
      const event = events.find(({ uid }) => uid === `vehicle-3-${key}`)!
      const start = event.start
      expect([start.getFullYear(), start.getMonth() + 1, start.getDate()]).toEqual(
        first.split('-').map(Number),
      )
    }
    const topper = events.find(({ uid }) => uid === 'vehicle-3-topper')!
    expect(topper.rrule?.options).toMatchObject({ interval: 2, count: 26 })
  })
  test('ical.js reads the same days, and lets the habit come back every second week', () => {
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((component) => new ICAL.Event(component))
    const topper = events.find(({ uid }) => uid === 'vehicle-3-topper')!
    expect(topper.isRecurring()).toBe(true)
    const days = topper.iterator()
    const [one, two] = [days.next(), days.next()].map((time) => time!.toString() as LocalDay)
    expect(one).toBe('2027-01-13')
    expect(two).toBe(plusDays(one!, 14))
    const visit = events.find(({ uid }) => uid === 'vehicle-3-visit-2027-05-01')!
    expect([visit.startDate.toString(), visit.endDate.toString()]).toEqual(['2027-05-01', '2027-05-30'])
  })
})

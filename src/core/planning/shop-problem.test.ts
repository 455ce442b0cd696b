import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import catalogueFile from '../../../demo/catalogue.json'
import setup from '../../../demo/setup.json'
import { catalogueSchema } from '../coating'
import { offered, SEEDED_METHODS, unprobed } from '../correction'
import { BLINDS } from '../handover/inspection'
import { toBayId, toJobId, toPersonId, UNKNOWN_PERSON } from '../ids'
import { type LiveJob, type Progress, progressAt, stageOf } from '../job'
import { makeOffer, packageTemplateSchema } from '../offer'
import { checkSchedule, solve } from '../schedule'
import { type Defect, judge } from '../survey'
import { type Instant, instantOrThrow, plusMinutes } from '../time'
import { isMetal, panelsOf, SHAPES, type Shape } from '../vehicle'
import { joinParts } from './parts'
import { ROOFED } from './roof'
import { withAir } from './shared-air'
import { planningProblem, type ShopCalendar } from './shop-problem'

const catalogue = catalogueSchema.parse(catalogueFile)
const templates = setup.packages.map((template) => packageTemplateSchema.parse(template))
const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }

function offer(key: string, shape: Shape = 'hatchback', taxPercent = 23) {
  const panels = panelsOf(shape)
  const metal = panels.filter(({ substrate }) => isMetal(substrate))
  const judgement = judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'both',
    readings: Object.fromEntries(metal.map(({ id }) => [id, [118, 120, 119]])),
    defects: Object.fromEntries(panels.map(({ id }) => [id, [swirls]])),
  })
  return makeOffer(templates.find((template) => template.key === key)!, {
    shape,
    paintSystem: 'clear-over-base',
    methods: offered(SEEDED_METHODS),
    knowledge: unprobed('medium'),
    treatments: [],
    judgement,
    proposals: [],
    catalogue,
    vendors: [],
    rates: {
      ...setup.rates,
      tax: {
        name: 'VAT',
        prices: 'before-tax',
        percent: { work: taxPercent, products: taxPercent, subcontractors: taxPercent },
      },
    },
  })
}

describe('an offer', () => {
  test('more correction and more layers take longer, cost more and clear more', () => {
    const offers = ['tideline', 'headland', 'lantern'].map((key) => offer(key))
    const sorted = (values: number[]) => expect(values).toEqual([...values].sort((a, b) => a - b))
    sorted(offers.map(({ attendedMinutes }) => attendedMinutes))
    sorted(offers.map(({ price }) => price.totalCents))
    sorted(offers.map(({ correction }) => correction.expectedClearing))
  })
  test('a two-step on a middle-sized car is about a day and a half for the paint (common practice: two days with its coat)', () => {
    const { plan } = offer('lantern')
    const paint = plan.operations.filter(({ kind }) => !['layer', 'hold', 'wipe'].includes(kind))
    const hours = paint.reduce((sum, { minutes }) => sum + minutes, 0) / 60
    expect(hours).toBeGreaterThan(9)
    expect(hours).toBeLessThan(15)
  })
  test('the price is the sum of its lines to the cent, under any tax, and every minute of labour is in it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('tideline', 'headland', 'lantern'),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (key, tax) => {
          const { price, plan } = offer(key, 'estate', tax)
          const sum = price.lines.reduce((total, { cents }) => total + cents, 0)
          expect(price.netCents).toBe(sum)
          expect(price.totalCents).toBe(price.netCents + price.taxCents)
          const labour = price.lines.reduce(
            (total, line) => total + (line.kind === 'labour' ? line.minutes : 0),
            0,
          )
          expect(labour).toBe(
            plan.operations.reduce((total, { minutes, people }) => total + minutes * people, 0),
          )
        },
      ),
      { numRuns: 30 },
    )
  })
  test('layers follow each other within the window of the product before', () => {
    const { plan } = offer('lantern')
    expect(plan.links).toContainEqual({ from: 'layer-1', to: 'layer-2', min: 180, max: 720 })
    expect(plan.links).toContainEqual({ from: 'layer-3', to: 'dry', min: 0, max: 0 })
  })
  test('every operation is in one stay, and every step that can hurt has its caution', () => {
    const { plan } = offer('lantern')
    expect(plan.stays.flatMap(({ operations }) => operations).sort()).toEqual(
      plan.operations.map(({ id }) => id).sort(),
    )
  })
})

const shop = setup as unknown as ShopCalendar
const MONDAY = instantOrThrow('2027-01-11T07:00:00Z')
const live = (id: string, key: string, progress: LiveJob['progress'] = {}): LiveJob => ({
  id: toJobId(id),
  arrive: MONDAY,
  weight: 1,
  plan: offer(key).plan,
  progress,
  published: [],
})

describe('the shop as a scheduling problem', () => {
  const planned = (jobs: LiveJob[], now: Instant, movable?: ReadonlySet<string>) => {
    const { problem, missed } = planningProblem(shop, jobs, { now, ...(movable ? { movable } : {}) })
    const { schedule } = solve(problem, { seed: 1, steps: 0 })
    return { problem, schedule, missed, placed: joinParts(problem, schedule) }
  }

  test.each(SHAPES)('every coating finds its days in an empty shop, on a body of any size: %s', (shape) => {
    for (const key of ['slipway', 'headland', 'lantern']) {
      const { plan } = offer(key, shape)
      const { problem, schedule } = planned([{ ...live('A', 'lantern'), plan }], MONDAY)
      expect(schedule.reasons, key).toEqual([])
      expect(checkSchedule(problem, schedule)).toEqual([])
    }
  })
  test('lived through step by step by its own plan, it stays plannable and valid at any minute', () => {
    const start = live('A', 'lantern')
    const { placed } = planned([start], MONDAY)
    for (let hours = 0; hours < 80; hours += 2.6) {
      const now = plusMinutes(MONDAY, Math.round(hours * 60))
      const progress: Record<string, Progress> = {}
      for (const each of placed) {
        const [from, to] = [each.start as Instant, each.end as Instant]
        if (each.people.length === 0) continue
        if (to <= now) progress[each.operation] = { kind: 'done', from, to, by: each.people[0]! }
        else if (from <= now) progress[each.operation] = { kind: 'started', at: from, by: each.people[0]! }
      }
      const job = { ...start, progress, published: placed }
      if (job.plan.operations.every((operation) => progressAt(job, operation, now).kind === 'done')) break
      const again = planned([job], now)
      expect(again.schedule.reasons).toEqual([])
      expect(checkSchedule(again.problem, again.schedule)).toEqual([])
      expect(again.missed).toEqual([])
      expect(again.placed.map(({ operation }) => operation).sort()).toEqual(
        job.plan.operations.map(({ id }) => id).sort(),
      )
    }
  })

  test('a layer logged later moves the window of the next', () => {
    const job = live('A', 'lantern')
    const done = (from: string, to: string): Progress => ({
      kind: 'done',
      from: instantOrThrow(from),
      to: instantOrThrow(to),
      by: toPersonId('brida'),
    })
    const upTo: Record<string, Progress> = {
      wash: done('2027-01-11T07:00:00Z', '2027-01-11T09:00:00Z'),
      mask: done('2027-01-11T09:00:00Z', '2027-01-11T10:00:00Z'),
      cut: done('2027-01-11T10:00:00Z', '2027-01-11T17:00:00Z'),
      refine: done('2027-01-12T07:00:00Z', '2027-01-12T08:00:00Z'),
      wipe: done('2027-01-12T08:00:00Z', '2027-01-12T08:30:00Z'),
    }
    for (const ended of ['2027-01-12T12:10:00Z', '2027-01-12T19:40:00Z']) {
      const progress = { ...upTo, 'layer-1': done('2027-01-12T09:00:00Z', ended) }
      const { placed } = planned([{ ...job, progress }], instantOrThrow(ended))
      const next = placed.find(({ operation }) => operation === 'layer-2')!
      const gap = (Date.parse(next.start) - Date.parse(ended)) / 60_000
      expect(gap).toBeGreaterThanOrEqual(180)
      expect(gap).toBeLessThanOrEqual(720)
    }
  })

  test('a layer that ended at an hour after which no shift can follow is refused in words, and planned when let go', () => {
    const ended = instantOrThrow('2027-01-12T16:10:00Z')
    const before = Object.fromEntries(
      ['wash', 'mask', 'cut', 'refine', 'wipe', 'layer-1'].map((id): [string, Progress] => [
        id,
        { kind: 'done', from: plusMinutes(ended, -180), to: ended, by: toPersonId('brida') },
      ]),
    )
    const job = { ...live('A', 'lantern'), progress: before }
    expect(planned([job], ended).schedule.reasons[0]).toMatchObject({
      operation: 'layer-2',
      code: 'window-closed',
    })
    const { problem } = planningProblem(shop, [job], { now: ended, letWindowsGo: true })
    expect(solve(problem, { seed: 1, steps: 0 }).schedule.status).not.toBe('infeasible')
  })

  test('a window that reality has missed is reported with its hour, and the job is planned all the same', () => {
    const ended = instantOrThrow('2027-01-11T12:00:00Z')
    const job = live('A', 'lantern')
    const progress = Object.fromEntries(
      ['wash', 'mask', 'cut', 'refine', 'wipe', 'layer-1'].map((id): [string, Progress] => [
        id,
        { kind: 'done', from: plusMinutes(ended, -60), to: ended, by: toPersonId('brida') },
      ]),
    )
    const { missed, schedule } = planned([{ ...job, progress }], plusMinutes(ended, 1000))
    expect(missed).toEqual([
      { job: 'A', operation: 'layer-2', after: 'layer-1', closed: '2027-01-12T00:00:00.000Z' },
    ])
    expect(schedule.status).not.toBe('infeasible')
  })

  test('a layer that ends before the next slot has missed nothing yet: its wait begins by itself', () => {
    const began = instantOrThrow('2027-01-12T12:00:00Z')
    const job = live('A', 'headland', {
      'layer-1': { kind: 'started', at: began, by: toPersonId('brida') },
    })
    const layer = job.plan.operations.find(({ id }) => id === 'layer-1')!
    const ends = plusMinutes(began, layer.minutes)
    const before = planned([job], plusMinutes(ends, -2))
    expect(before.missed).toEqual([])
    expect(checkSchedule(before.problem, before.schedule)).toEqual([])
  })
  test('clocks that show seconds do not break the plan', () => {
    const now = instantOrThrow('2027-01-11T08:05:37.412Z')
    const job = { ...live('A', 'headland'), arrive: now, due: plusMinutes(now, 9000) }
    const progress: Record<string, Progress> = { wash: { kind: 'started', at: now, by: toPersonId('senan') } }
    expect(planned([job], now).schedule.reasons).toEqual([])
    expect(planned([{ ...job, progress }], plusMinutes(now, 20)).schedule.reasons).toEqual([])
  })

  test('work begun by somebody of another trade goes on with them, and stops nobody else’s plan', () => {
    const job = live('A', 'headland')
    const cut = job.plan.operations.findIndex(({ kind }) => kind === 'cut' || kind === 'polish')
    const now = instantOrThrow('2027-01-12T09:00:00Z')
    const past = job.plan.operations
      .slice(0, cut)
      .map(({ id }, at) => [
        id,
        { kind: 'done', from: plusMinutes(now, -600 + 60 * at), to: plusMinutes(now, -560 + 60 * at) },
      ])
    const { id } = job.plan.operations[cut]!
    // Brída prepares and coats; she has never been said to correct.
    const under = { kind: 'started', at: plusMinutes(now, -30), by: toPersonId('brida') } as const
    const begun = { ...job, progress: { ...Object.fromEntries(past), [id]: under } }
    const { problem, schedule } = planned([begun, live('B', 'tideline')], now)
    expect(schedule.reasons).toEqual([])
    expect(checkSchedule(problem, schedule)).toEqual([])
    const rest = schedule.operations.find(
      ({ job: of, operation }) => of === 'A' && operation === `${id} (rest)`,
    )!
    expect(rest).toMatchObject({ start: now, people: ['brida'] })
  })

  describe('a vehicle that is long or high', () => {
    const long = { lengthM: 6.4, heightM: 2.6 }
    const rooms: Record<string, { lengthM?: number; heightM?: number }> = {
      'loft-1': { lengthM: 5.4 },
      'loft-2': { lengthM: 8, heightM: 2.7 },
      'loft-3': { heightM: 2.2 },
    }
    const places = shop.places.map((place) => ({ ...place, ...rooms[place.id] }))
    const bays = (job: LiveJob) => {
      const { problem } = planningProblem({ ...shop, places }, [job], { now: MONDAY })
      const { schedule } = solve(problem, { seed: 1, steps: 0 })
      expect(checkSchedule(problem, schedule)).toEqual([])
      return { stands: new Set(schedule.operations.map(({ place }) => place)), reasons: schedule.reasons }
    }
    test('stands only in bays it fits into', () => {
      expect(bays({ ...live('A', 'lantern'), size: long }).stands).toEqual(new Set(['wash', 'loft-2']))
    })
    test('fits into none: that is said before anything is promised', () => {
      const { reasons } = bays({ ...live('A', 'lantern'), size: { ...long, heightM: 3.1 } })
      expect(reasons[0]).toMatchObject({ code: 'fits-nowhere', kind: ROOFED })
    })
    test('that stands in a bay already does fit into it, whatever was measured', () => {
      const job = live('A', 'lantern')
      const { placed } = planned([job], MONDAY)
      const published = placed.map((each) =>
        each.place === 'wash' ? each : { ...each, place: toBayId('loft-1') },
      )
      const last = published.find(({ place }) => place === 'loft-1')!
      const begun = { [last.operation]: { kind: 'started' as const, at: MONDAY } }
      const there = bays({ ...job, published, progress: begun, size: long })
      expect(there.stands).toContain('loft-1')
    })
  })
  describe('a bay for paint work without a roof', () => {
    const open: ShopCalendar = {
      ...shop,
      places: shop.places.map((place) =>
        place.id === 'loft-1' || place.id === 'loft-2' ? { ...place, kinds: ['studio'] } : place,
      ),
    }
    const of = (jobs: LiveJob[], now = MONDAY) => {
      const { problem } = planningProblem(open, jobs, { now })
      const { schedule } = solve(problem, { seed: 1, steps: 0 })
      expect(checkSchedule(problem, schedule)).toEqual([])
      return schedule
    }
    test('takes no car that is coated or kept dry in it', () => {
      const { operations, reasons } = of(['A', 'B'].map((id) => live(id, 'lantern')))
      expect(reasons).toEqual([])
      expect(operations.filter(({ place }) => place === 'loft-1' || place === 'loft-2')).toEqual([])
    })
    test('that had one when work was done there breaks nobody’s plan: the car moves', () => {
      const { placed } = planned([live('A', 'lantern')], MONDAY)
      const published = placed.map((each) =>
        each.place === 'wash' ? each : { ...each, place: toBayId('loft-1') },
      )
      const cut = published.find(({ operation }) => operation === 'cut')!
      const done = published.filter(({ end }) => end <= cut.end)
      const progress = Object.fromEntries(
        done.map(({ operation, start, end, people }): [string, Progress] => [
          operation,
          { kind: 'done', from: start as Instant, to: end as Instant, by: people[0]! },
        ]),
      )
      const { reasons, operations } = of(
        [{ ...live('A', 'lantern'), published, progress }, live('B', 'headland')],
        cut.end as Instant,
      )
      expect(reasons).toEqual([])
      expect(operations.find(({ operation }) => operation === 'layer-1')!.place).toBe('loft-3')
    })
    test('that had one keeps what was done there, though another car stood in the bay it moves to all the time', () => {
      const both = planned([live('A', 'lantern'), live('B', 'headland')], MONDAY).placed
      const bay = (job: string) => toBayId(job === 'A' ? 'loft-1' : 'loft-3')
      const published = both.map((each) => (each.place === 'wash' ? each : { ...each, place: bay(each.job) }))
      const cut = published.find(({ job, operation }) => job === 'A' && operation === 'cut')!
      const now = plusMinutes(cut.end as Instant, -30)
      const begun = (id: string, key: string): LiveJob => {
        const own = published.filter(({ job }) => job === id)
        const progress = own
          .filter(({ start }) => start <= now)
          .map(({ operation, start, end, people }): [string, Progress] => [
            operation,
            end <= now
              ? { kind: 'done', from: start as Instant, to: end as Instant, by: people[0]! }
              : { kind: 'started', at: start as Instant, by: people[0]! },
          ])
        return { ...live(id, key), published: own, progress: Object.fromEntries(progress) }
      }
      const { reasons, operations } = of([begun('A', 'lantern'), begun('B', 'headland')], now)
      expect(reasons).toEqual([])
      const at = (job: string, operation: string) =>
        operations.find((each) => each.job === job && each.operation === operation)!
      expect(at('A', 'layer-1').place).toBe('loft-3')
      expect(at('A', 'mask').place).not.toBe('loft-3')
      expect(at('A', 'layer-1').start >= at('B', 'finish').end).toBe(true)
    })
    test('and coated in the other bay since, has been in both, and goes on in that one', () => {
      const { placed } = planned([live('A', 'lantern')], MONDAY)
      const layer = placed.find(({ operation }) => operation === 'layer-1')!
      const published = placed.map((each) =>
        each.place === 'wash'
          ? each
          : { ...each, place: toBayId(each.start < layer.start ? 'loft-1' : 'loft-3') },
      )
      const progress = Object.fromEntries(
        published
          .filter(({ end }) => end <= layer.end)
          .map(({ operation, start, end, people }): [string, Progress] => [
            operation,
            { kind: 'done', from: start as Instant, to: end as Instant, by: people[0]! },
          ]),
      )
      const { reasons, operations } = of(
        [{ ...live('A', 'lantern'), published, progress }],
        layer.end as Instant,
      )
      expect(reasons).toEqual([])
      for (const id of ['layer-2', 'finish'])
        expect(operations.find(({ operation }) => operation === id)!.place).toBe('loft-3')
    })
  })
  test('bays in one room keep the dust of one car from the open coat of another, also one that lies there already', () => {
    const lofts = (room?: string) =>
      shop.places
        .filter(({ kinds }) => kinds.includes('wash') || kinds.includes('studio'))
        .map((place) => (place.kinds.includes('studio') ? withAir({ ...place, room }) : place))
    const cars = ['A', 'B', 'C', 'D', 'E'].map((id, at) => live(id, at % 2 > 0 ? 'lantern' : 'headland'))
    const of = (places: ShopCalendar['places'], jobs: LiveJob[], now = MONDAY) => {
      const { problem } = planningProblem({ ...shop, places }, jobs, { now })
      const { schedule } = solve(problem, { seed: 1, steps: 0 })
      expect(checkSchedule(problem, schedule)).toEqual([])
      expect(schedule.reasons).toEqual([])
      return { problem, schedule }
    }
    const shared = of(lofts('Net loft'), cars)
    const rules = checkSchedule(shared.problem, of(lofts(), cars).schedule).map(({ rule }) => rule)
    expect(rules).toContain('air')
    const layer = shared.schedule.operations.find(
      ({ job, operation }) => job === 'A' && operation === 'layer-1',
    )!
    const before = shared.schedule.operations.filter(({ job, start }) => job === 'A' && start <= layer.start)
    const progress = Object.fromEntries(
      before.map(({ operation, start, end, people }): [string, Progress] => [
        operation,
        operation === 'layer-1'
          ? { kind: 'started', at: start as Instant, by: people[0]! }
          : { kind: 'done', from: start as Instant, to: end as Instant, by: people[0]! },
      ]),
    )
    const published = joinParts(shared.problem, shared.schedule)
    const [first, ...others] = cars
    of(
      lofts('net loft '),
      [{ ...first!, published, progress }, ...others],
      plusMinutes(layer.start as Instant, 60),
    )
  })
  test('a new job moves nobody who was placed before', () => {
    const first = planned([live('A', 'lantern'), live('B', 'headland')], MONDAY)
    const published = (id: string) => first.placed.filter(({ job }) => job === id)
    const settled = ['A', 'B'].map((id) => ({
      ...live(id, id === 'A' ? 'lantern' : 'headland'),
      published: published(id),
    }))
    const second = planned([...settled, live('C', 'tideline')], MONDAY, new Set(['C']))
    const times = (list: typeof first.placed) =>
      list
        .filter(({ job }) => job !== 'C')
        .map(({ job, operation, start, people }) => [job, operation, start, people])
    expect(times(second.placed)).toEqual(times(first.placed))
    expect(checkSchedule(second.problem, second.schedule)).toEqual([])
  })

  describe('the final inspection', () => {
    const judges = (placed: ReturnType<typeof planned>['placed'], plan: LiveJob['plan']) => {
      const peopleOf = (id: string) => placed.find(({ operation }) => operation === id)!.people
      const hands = plan.operations.filter(({ kind }) => BLINDS.has(kind)).flatMap(({ id }) => peopleOf(id))
      return { eyes: peopleOf('finish'), hands: new Set(hands) }
    }
    const SOLD = ['lantern', 'headland', 'tideline'] as const

    test('is given to somebody who had no hand in the work, as long as there is such a one', () => {
      const couldJudge = shop.people.filter(({ skills }) => skills.includes('prep')).map(({ id }) => id)
      fc.assert(
        fc.property(fc.constantFrom(...SOLD), fc.nat(6), fc.nat(1000), (key, day, seed) => {
          const job = { ...live('A', key), arrive: plusMinutes(MONDAY, day * 1440) }
          const { problem } = planningProblem(shop, [job], { now: MONDAY })
          const { schedule } = solve(problem, { seed, steps: 20 })
          const { eyes, hands } = judges(joinParts(problem, schedule), job.plan)
          if (eyes.some((person) => hands.has(person)))
            expect(couldJudge.filter((person) => !hands.has(person))).toEqual([])
        }),
        { numRuns: 25 },
      )
      for (const key of ['headland', 'tideline'] as const) {
        const { placed } = planned([live('A', key)], MONDAY)
        const { eyes, hands } = judges(placed, live('A', key).plan)
        expect(eyes.filter((person) => hands.has(person))).toEqual([])
      }
    })
    test('knows who did the work that is over', () => {
      const first = live('A', 'headland')
      const { placed } = planned([first], MONDAY)
      const before = placed.filter(({ operation }) => operation !== 'finish')
      const done = (by: string): LiveJob['progress'] =>
        Object.fromEntries(
          before.map(({ operation, start, end, people }) => [
            operation,
            { kind: 'done', from: start, to: end, by: people.length > 0 ? toPersonId(by) : UNKNOWN_PERSON },
          ]),
        )
      const now = before.map(({ end }) => end).reduce((a, b) => (a > b ? a : b))
      for (const by of ['brida', 'senan', 'merle']) {
        const again = planned([{ ...first, progress: done(by), published: placed }], now)
        expect(again.placed.find(({ operation }) => operation === 'finish')!.people).not.toContain(by)
      }
    })
    test('is planned all the same where nobody else works here', () => {
      const alone = { ...shop, people: shop.people.filter(({ id }) => id === 'merle') }
      const job = live('A', 'tideline')
      const { problem } = planningProblem(alone, [job], { now: MONDAY })
      const { schedule } = solve(problem, { seed: 1, steps: 0 })
      expect(schedule.status).not.toBe('infeasible')
      expect(judges(joinParts(problem, schedule), job.plan).eyes).toEqual(['merle'])
    })
  })

  test('a wait begins by itself with the end of what it follows, and is over by the clock', () => {
    const ended = instantOrThrow('2027-01-12T16:00:00Z')
    const job = live('A', 'headland', {
      'layer-1': { kind: 'done', from: plusMinutes(ended, -170), to: ended, by: toPersonId('brida') },
    })
    const dry = job.plan.operations.find(({ id }) => id === 'dry')!
    expect(progressAt(job, dry, plusMinutes(ended, 10))).toEqual({ kind: 'started', at: ended })
    expect(progressAt(job, dry, plusMinutes(ended, dry.minutes))).toMatchObject({ kind: 'done' })
    expect(stageOf({ job, surveyed: true, handedOver: false }, plusMinutes(ended, 10))).toMatchObject({
      kind: 'waiting',
    })
  })
})

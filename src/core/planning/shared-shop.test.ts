import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import setup from '../../../demo/setup.json'
import { toBayId, toJobId, toOperationId, toPersonId } from '../ids'
import type { LiveJob, Progress } from '../job'
import { tries } from '../long.fixture'
import { makeOffer } from '../offer'
import { offerInput, template, vendors } from '../offer/offer.fixture'
import { checkSchedule, type PlacedOperation, solve } from '../schedule'
import { type Instant, instantOrThrow, minutesBetween, plusMinutes } from '../time'
import type { Equipment } from './equipment'
import { AWAY, shopCalendar } from './floor'
import { type Outage, shopWithout, touchedBy } from './outage'
import { joinParts } from './parts'
import type { Sharing } from './sharing'
import { planningProblem } from './shop-problem'

const MONDAY = instantOrThrow('2027-01-11T07:00:00Z')
const shopWith = (equipment: Equipment = {}, sharing: Sharing = 'one') =>
  shopCalendar({ ...setup, vendors, equipment, sharing } as never)
const restoration = makeOffer(template('boathouse'), offerInput({}, { vendors }), {
  extras: [{ key: 'interior', count: 1 }],
}).plan
const headland = makeOffer(template('headland'), offerInput()).plan

const car = (name: string, more: Partial<LiveJob> = {}): LiveJob => ({
  id: toJobId(name),
  arrive: MONDAY,
  weight: 1,
  plan: restoration,
  progress: {},
  published: [],
  ...more,
})

function planned(jobs: readonly LiveJob[], shop = shopWith(), now = MONDAY) {
  const { problem } = planningProblem(shop, jobs, { now })
  const { schedule } = solve(problem, { seed: 1, steps: 0 })
  expect(schedule.reasons).toEqual([])
  expect(checkSchedule(problem, schedule)).toEqual([])
  return joinParts(problem, schedule)
}
const step = (placed: readonly PlacedOperation[], operation: string, job = 'A') =>
  placed.find((each) => each.operation === operation && each.job === job)!
const overlap = (a: PlacedOperation, b: PlacedOperation) => a.start < b.end && b.start < a.end

const done = (ids: readonly string[]): Record<string, Progress> =>
  Object.fromEntries(
    ids.map((id, at): [string, Progress] => {
      const from = plusMinutes(MONDAY, -6000 + 60 * at)
      return [id, { kind: 'done', from, to: plusMinutes(from, 50), by: toPersonId('brida') }]
    }),
  )
const OFF = ['vendor-oona-dents', 'wash', 'mask', 'extra-wheels-off']

describe('what is away', () => {
  const out = (dueBack: Instant): LiveJob =>
    car('A', {
      progress: {
        ...done(OFF),
        'vendor-tam-wheels': {
          kind: 'started',
          at: plusMinutes(MONDAY, -300),
          by: toPersonId('oran'),
          dueBack,
        },
      },
    })
  test('is back when it was said, and gates only what needs it', () => {
    const back = plusMinutes(MONDAY, 3 * 1440 + 120)
    const placed = planned([out(back)])
    expect(step(placed, 'vendor-tam-wheels')).toMatchObject({ end: back, place: AWAY })
    expect(step(placed, 'surface-wheels').start >= back).toBe(true)
    expect(step(placed, 'cut').start < back).toBe(true)
  })
  test('however late it is, the plan can be kept: only what waits for it moves', () => {
    fc.assert(
      fc.property(fc.integer({ min: -2000, max: 14 * 1440 }), (late) => {
        const back = plusMinutes(MONDAY, late)
        const placed = planned([out(back)])
        expect(step(placed, 'vendor-tam-wheels').end >= MONDAY).toBe(true)
        expect(step(placed, 'surface-wheels').start >= back).toBe(true)
        expect(step(placed, 'wheels-on').start >= back).toBe(true)
        expect(step(placed, 'cut').start < plusMinutes(MONDAY, 1440)).toBe(true)
      }),
      { numRuns: tries(8, 60) },
    )
  })
  test('the car itself at the painter’s leaves its bay to others', () => {
    const painted = makeOffer(
      { ...template('headland'), vendors: ['fergus-paint'] },
      offerInput({}, { vendors }),
    ).plan
    const placed = planned([car('A', { plan: painted }), car('B', { plan: painted })])
    for (const job of ['A', 'B']) expect(step(placed, 'vendor-fergus-paint', job).place).toBe(AWAY)
    // He takes two at a time.
    const [one, other] = ['A', 'B'].map((job) => step(placed, 'vendor-fergus-paint', job))
    expect(overlap(one!, other!)).toBe(true)
  })
})

describe('what was ordered', () => {
  const { plan } = makeOffer(template('headland'), offerInput(), { extras: [{ key: 'touch-up', count: 1 }] })
  const waiting = (due: Instant) =>
    car('A', { plan, awaited: { 'extra-touch-up': { what: 'Paint LY7', supplier: 'Lantern Colours', due } } })
  test('is waited for until it is due, while the rest goes on', () => {
    const due = plusMinutes(MONDAY, 2 * 1440)
    const placed = planned([waiting(due)])
    expect(step(placed, 'extra-touch-up').start >= due).toBe(true)
    expect(step(planned([car('A', { plan })]), 'extra-touch-up').start < due).toBe(true)
  })
  test('and is late: it may come tomorrow, and the plan is none the worse for it', () => {
    const placed = planned([waiting(plusMinutes(MONDAY, -60))])
    expect(step(placed, 'extra-touch-up').start >= plusMinutes(MONDAY, 1440)).toBe(true)
  })
})

describe('several hands at one car', () => {
  test('the cabin is cleaned while others polish, and never beside an open or soft coat', () => {
    const placed = planned([car('A')])
    const cabin = step(placed, 'extra-interior')
    for (const coat of ['surface-glass', 'wipe', 'layer-1', 'dry'])
      expect(overlap(cabin, step(placed, coat))).toBe(false)
    expect(cabin.start < step(placed, 'surface-glass').start).toBe(true)
  })
  test('a cut that may be shared is done by two in half the time where two are there', () => {
    const [alone, shared] = [
      planned([car('A', { plan: headland })]),
      planned([car('A', { plan: headland })], shopWith({}, 'two')),
    ]
    const machine = headland.operations.find(({ kind }) => kind === 'cut' || kind === 'polish')!.id
    expect(step(alone, machine).people).toHaveLength(1)
    expect(step(shared, machine).people).toHaveLength(2)
    const last = (placed: readonly PlacedOperation[]) => step(placed, 'finish').end
    expect(last(shared) <= last(alone)).toBe(true)
  })
  test('two who are at it go on with it together', () => {
    const shop = shopWith({}, 'two')
    const live = car('A', { plan: headland })
    const before = planned([live], shop)
    const machine = headland.operations.find(({ kind }) => kind === 'cut' || kind === 'polish')!
    const at = step(before, machine.id)
    const now = plusMinutes(at.start, 30)
    const progress: Record<string, Progress> = {
      [machine.id]: { kind: 'started', at: at.start, by: at.people[0]! },
    }
    for (const { operation, start, end, people } of before)
      if (end <= at.start) progress[operation] = { kind: 'done', from: start, to: end, by: people[0]! }
    const after = planned([{ ...live, progress, published: before }], shop, now)
    expect(step(after, machine.id).people.toSorted()).toEqual(at.people.toSorted())
    expect(minutesBetween(step(after, machine.id).end, at.end)).toBeLessThanOrEqual(15)
  })
})

describe('work under way beside other work', () => {
  test('whoever is at one step goes on with it, though another of the car has to be finished by somebody', () => {
    const { plan } = makeOffer(template('headland'), offerInput(), {
      extras: [{ key: 'headlamps', count: 2 }],
    })
    const machine = plan.operations.find(({ kind }) => kind === 'cut' || kind === 'polish')!.id
    const now = instantOrThrow('2027-01-12T08:02:00Z')
    const begun = (by: string, at: string): Progress => ({
      kind: 'started',
      at: instantOrThrow(at),
      by: toPersonId(by),
    })
    const live = car('A', {
      plan,
      progress: {
        ...done(['wash', 'mask']),
        'extra-headlamps': begun('oran', '2027-01-11T11:45:00Z'),
        [machine]: begun('senan', '2027-01-12T08:00:00Z'),
      },
    })
    const placed = planned([live], shopWith(), now)
    expect(step(placed, machine).people).toEqual(['senan'])
  })
})

describe('equipment of which there is only so much', () => {
  test('one lift takes one car at a time; one set of stands holds the next car back until its wheels are on', () => {
    const plan = makeOffer(
      { ...template('boathouse'), vendors: ['tam-wheels'] },
      offerInput({}, { vendors }),
    ).plan
    const jobs = ['A', 'B'].map((name) => car(name, { plan }))
    const standing = (placed: readonly PlacedOperation[]) =>
      ['A', 'B'].map((job) => ({
        ...step(placed, 'extra-wheels-off', job),
        end: step(placed, 'wheels-on', job).end,
      }))
    const [one, other] = standing(planned(jobs))
    expect(overlap(one!, other!)).toBe(true)
    expect(overlap(one!, other!)).toBe(true)
    const [first, second] = standing(planned(jobs, shopWith({ lift: 1, stands: 1 }))).toSorted((a, b) =>
      a.start < b.start ? -1 : 1,
    )
    expect(second!.start >= first!.end).toBe(true)
  })
  test('what is counted is never planned twice at a time', () => {
    fc.assert(
      fc.property(
        fc.record({ lamp: fc.integer({ min: 1, max: 3 }), extractor: fc.constant(1), lift: fc.constant(1) }),
        fc.integer({ min: 1, max: 3 }),
        (equipment, cars) => {
          const jobs = Array.from({ length: cars }, (_, at) => car(String.fromCharCode(65 + at)))
          // The checker counts each piece minute by minute.
          planned(jobs, shopWith(equipment, 'two'))
        },
      ),
      { numRuns: tries(6, 60) },
    )
  })
  test('of what is out of use there is one less, for exactly that time, and the checker knows it', () => {
    const lift = (count: number) => shopWith({ lift: count, stands: 2 })
    const until = plusMinutes(MONDAY, 3 * 1440)
    const out: Outage = { id: 'leak', what: { kind: 'equipment', id: 'lift' }, from: MONDAY, until }
    const job = car('A')
    const usesLift = (placed: readonly PlacedOperation[]) =>
      placed.filter(({ operation }) => operation === 'extra-wheels-off' || operation === 'wheels-on')
    const before = planned([job], lift(1))
    expect(usesLift(before).some(({ start }) => start < until)).toBe(true)
    expect(touchedBy(out, [{ ...job, published: before }])).toEqual(new Set(['A']))
    const stands: Outage = { ...out, what: { kind: 'equipment', id: 'stands' } }
    expect(touchedBy(stands, [{ ...job, published: before }])).toEqual(new Set(['A']))
    expect(touchedBy(stands, [{ ...job, plan: headland, published: before }])).toEqual(new Set())
    expect(usesLift(planned([job], shopWithout(lift(1), [out]))).every(({ start }) => start >= until)).toBe(
      true,
    )
    // Where there are two, the other is enough.
    expect(usesLift(planned([job], shopWithout(lift(2), [out])))).toEqual(usesLift(before))
    const { problem } = planningProblem(shopWithout(lift(1), [out]), [job], { now: MONDAY })
    const { schedule } = solve({ ...problem, broken: [] }, { seed: 1, steps: 0 })
    expect(checkSchedule(problem, schedule).map(({ rule }) => rule)).toContain('equipment')
  })
  test('what nobody counted is always enough', () => {
    expect(shopWith().equipment).toEqual([])
    const { problem } = planningProblem(shopWith(), [car('A')], { now: MONDAY })
    expect(problem.jobs[0]!.operations.some(({ equipment }) => equipment)).toBe(false)
    expect(problem.jobs[0]!.hold).toBeUndefined()
  })
})

describe('a card that nobody ticked', () => {
  const at = (minutes: number) => plusMinutes(MONDAY, minutes)
  const inBay = (
    job: string,
    operation: string,
    place: string,
    from: number,
    to: number,
  ): PlacedOperation => ({
    job: toJobId(job),
    operation: toOperationId(operation),
    start: at(from),
    end: at(to),
    people: [toPersonId('brida')],
    place: toBayId(place),
    segments: [[at(from), at(to)]],
  })
  test('a car left standing in the wash bay on paper does not make the plan of one that was washed there since impossible', () => {
    const forgotten = car('A', {
      plan: headland,
      progress: { wash: { kind: 'started', at: at(-5000), by: toPersonId('brida') } },
      published: [inBay('A', 'wash', 'wash', -5000, -4900)],
    })
    const washed = car('B', {
      plan: headland,
      progress: { wash: { kind: 'done', from: at(-300), to: at(-200), by: toPersonId('senan') } },
      published: [inBay('B', 'wash', 'wash', -300, -200)],
    })
    const placed = planned([forgotten, washed])
    // What is over stays told where it really was.
    expect(step(placed, 'wash', 'B')).toMatchObject({ place: 'wash', start: at(-300) })
    expect(step(placed, 'finish', 'B').start > MONDAY).toBe(true)
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import setup from '../../../demo/setup.json'
import { toBayId, toJobId, toPersonId } from '../ids'
import type { LiveJob } from '../job'
import { tries } from '../long.fixture'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { checkSchedule, openMinutesBetween, type PlacedOperation, solve } from '../schedule'
import { type Instant, instantOrThrow, plusMinutes } from '../time'
import { isCoat } from './damp-air'
import { type Outage, shopWithout, touchedBy } from './outage'
import { joinParts } from './parts'
import { planningProblem, type ShopCalendar } from './shop-problem'

const shop = setup as unknown as ShopCalendar
const MONDAY = instantOrThrow('2027-01-11T07:00:00Z')
const hoursLater = (hours: number) => plusMinutes(MONDAY, Math.round(60 * hours))
const out = (kind: 'person' | 'place', id: string, from: number, until: number): Outage => ({
  id: `${id} ${from}`,
  what: kind === 'person' ? { kind, id: toPersonId(id) } : { kind, id: toBayId(id) },
  from: hoursLater(from),
  until: hoursLater(until),
})
const live = (id: string, progress: LiveJob['progress'] = {}): LiveJob => ({
  id: toJobId(id),
  arrive: MONDAY,
  weight: 1,
  plan: makeOffer(template('headland'), offerInput()).plan,
  progress,
  published: [],
})

function planned(jobs: readonly LiveJob[], outages: readonly Outage[], now = MONDAY) {
  const { problem } = planningProblem(shopWithout(shop, outages), jobs, { now })
  const { schedule } = solve(problem, { seed: 1, steps: 10 })
  return { problem, schedule, placed: joinParts(problem, schedule) }
}

describe('somebody who is away', () => {
  test('is off shift for exactly that time, and nobody else is', () => {
    const without = shopWithout(shop, [out('person', 'brida', 2, 30)])
    const openOf = (id: string, from: number, until: number) => {
      const { calendar } = without.people.find((person) => person.id === id)!
      return openMinutesBetween(
        without.calendars[calendar]!,
        shop.timezone,
        hoursLater(from),
        hoursLater(until),
      )
    }
    expect(openOf('brida', 0, 2)).toBe(120)
    expect(openOf('brida', 2, 30)).toBe(0)
    expect(openOf('brida', 30, 32.5)).toBe(150)
    expect(without.people.filter(({ id }) => id !== 'brida')).toEqual(
      shop.people.filter(({ id }) => id !== 'brida'),
    )
  })
  test('stays longer by exactly what is said, unless away in that time', () => {
    const extra: Outage = {
      id: 'extra',
      what: { kind: 'extra', id: toPersonId('brida') },
      from: hoursLater(8.5),
      until: hoursLater(10),
    }
    const open = (outages: readonly Outage[]) => {
      const { people, calendars } = shopWithout(shop, outages)
      const { calendar } = people.find(({ id }) => id === 'brida')!
      return openMinutesBetween(calendars[calendar]!, shop.timezone, MONDAY, hoursLater(24))
    }
    expect(open([extra])).toBe(open([]) + 90)
    const away = out('person', 'brida', 9, 20)
    expect(open([extra, away])).toBe(open([]) + 30)
    expect(open([away, extra])).toBe(open([extra, away]))
  })
  test('and where the power is off, nobody of the house works, whatever they do', () => {
    const dark: Outage = { id: 'dark', what: { kind: 'power' }, from: hoursLater(5), until: hoursLater(9) }
    const { placed } = planned([live('a'), live('b')], [dark])
    const attended = placed.filter(({ people }) => people.length > 0)
    expect(attended.length).toBeGreaterThan(0)
    for (const { segments } of attended)
      for (const [from, to] of segments) expect(to <= dark.from || from >= dark.until).toBe(true)
    const touched = (segments: PlacedOperation[]) => touchedBy(dark, [{ ...live('a'), published: segments }])
    const [first] = attended
    expect(touched([{ ...first!, start: dark.from, end: dark.until }]).has('a')).toBe(true)
    expect(touched([{ ...first!, people: [], start: dark.from, end: dark.until }]).size).toBe(0)
  })
  test('is given nothing to do while away, whenever that is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('brida', 'senan', 'oran', 'merle'),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 40 }),
        (id, from, hours) => {
          const away = out('person', id, from, from + hours)
          const { problem, schedule, placed } = planned([live('A'), live('B')], [away])
          expect(checkSchedule(problem, schedule)).toEqual([])
          for (const { people, segments } of placed)
            if (people.includes(toPersonId(id)))
              for (const [start, end] of segments) expect(start < away.until && end > away.from).toBe(false)
        },
      ),
      { numRuns: tries(10, 20) },
    )
  })
  test('and takes several at a time, is away with all hands', () => {
    const hands = ['vendor-dents', 'vendor-dents~2', 'vendor-dentsmith']
    const person = shop.people[0]!
    const many = { ...shop, people: hands.map((id) => ({ ...person, id: toPersonId(id) })) }
    const { people } = shopWithout(many, [out('person', 'vendor-dents', 0, 48)])
    expect(people.filter(({ calendar }) => calendar !== person.calendar).map(({ id }) => id)).toEqual(
      hands.slice(0, 2),
    )
    const placed = { people: [toPersonId('vendor-dents~2')], start: MONDAY, end: hoursLater(2) }
    const job = { ...live('A'), published: [placed as unknown as PlacedOperation] }
    expect([...touchedBy(out('person', 'vendor-dents', 0, 48), [job])]).toEqual(['A'])
  })
  test('twice, is away both times', () => {
    const without = shopWithout(shop, [out('person', 'senan', 1, 2), out('person', 'senan', 5.5, 6.5)])
    const { calendar } = without.people.find(({ id }) => id === 'senan')!
    // Eight to five with half an hour for lunch, less an hour each time.
    expect(openMinutesBetween(without.calendars[calendar]!, shop.timezone, MONDAY, hoursLater(12))).toBe(
      8.5 * 60 - 120,
    )
  })
})

describe('a bay out of use', () => {
  test('is stood in by no car, and is not itself a car on the calendar', () => {
    const closed = out('place', 'loft-1', 0, 200)
    const { problem, schedule, placed } = planned([live('A'), live('B')], [closed])
    expect(schedule.status).not.toBe('infeasible')
    expect(checkSchedule(problem, schedule)).toEqual([])
    expect(new Set(placed.map(({ job }) => job))).toEqual(new Set(['A', 'B']))
    for (const { place, start, end } of placed)
      expect(place === 'loft-1' && start < closed.until && end > closed.from).toBe(false)
  })
  test('named twice for times that overlap, is out of use once, and the shop can still be planned', () => {
    const both = [
      out('place', 'loft-1', 0, 30),
      out('place', 'loft-1', 20, 50),
      out('place', 'loft-2', 25, 40),
    ]
    expect(shopWithout(shop, both).closures).toMatchObject([
      { place: 'loft-1', from: hoursLater(0), until: hoursLater(50) },
      { place: 'loft-2', from: hoursLater(25), until: hoursLater(40) },
    ])
    const { schedule } = planned([live('A')], both)
    expect(schedule.reasons).toEqual([])
  })
  test('for ever, is out of use to the end of what is planned', () => {
    const { schedule } = planned([live('A')], [out('place', 'loft-3', -50, 24 * 300)])
    expect(schedule.reasons).toEqual([])
  })
  test('when it is over, plays no part', () => {
    const past = out('place', 'loft-1', -50, -1)
    expect(planned([live('A')], [past]).problem.jobs.map(({ id }) => id)).toEqual(['A'])
  })
  test('all bays out of use leave no room, and that is said of the car', () => {
    const all = ['loft-1', 'loft-2', 'loft-3'].map((id) => out('place', id, 0, 24 * 300))
    const { schedule } = planned([live('A')], all)
    expect(schedule.status).toBe('infeasible')
    expect(schedule.reasons.map(({ job }) => job)).toEqual(['A'])
  })
})

describe('air too damp to coat', () => {
  const damp = (from: number, until: number): Outage => ({
    id: `air ${from}`,
    what: { kind: 'air' },
    from: hoursLater(from),
    until: hoursLater(until),
  })
  const coats = live('A').plan.operations.filter(isCoat)
  const dampCoats = (placed: readonly PlacedOperation[], { from, until }: Outage) =>
    placed.filter(
      ({ operation, start, end }) => coats.some(({ id }) => id === operation) && start < until && from < end,
    )

  test('is coated in at no time, whether coats wait for it or were planned before; the rest of the work goes on', () => {
    const dry = planned([live('A'), live('B')], []).placed
    let [waited, before] = [0, 0]
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 1, max: 30 }), (from, hours) => {
        const wet = damp(from, from + hours)
        const jobs = [live('A'), live('B')].map((job) => ({
          ...job,
          published: dry.filter((placed) => placed.job === job.id),
        }))
        const { problem, schedule, placed } = planned(jobs, [wet])
        expect(schedule.reasons).toEqual([])
        expect(checkSchedule(problem, schedule)).toEqual([])
        expect(dampCoats(placed, wet)).toEqual([])
        expect(placed).toHaveLength(dry.length)
        if (dampCoats(dry, wet).length > 0) waited += 1
        else if (dry.some(({ end }) => end > wet.until)) before += 1
      }),
      { numRuns: tries(8, 25) },
    )
    // Both kinds were really tried.
    expect(waited).toBeGreaterThan(0)
    expect(before).toBeGreaterThan(0)
  })
  test('ends a coat before it only where that was planned so; a day run late lets it wait', () => {
    const [coat] = coats
    const dry = planned([live('A')], []).placed
    const layer = dry.find(({ operation }) => operation === coat!.id)!
    const wet = { ...damp(0, 1), from: layer.end as Instant, until: plusMinutes(layer.end as Instant, 600) }
    const job = { ...live('A'), published: dry }
    const before = planned([job], [wet]).placed.find(({ operation }) => operation === coat!.id)!
    expect(before.end <= wet.from).toBe(true)
    const late = plusMinutes(layer.start as Instant, 30)
    const after = planned([job], [wet], late).placed.find(({ operation }) => operation === coat!.id)!
    expect(after.start >= wet.until).toBe(true)
  })
  test('lies in the way of no car that needs no coat, and of none that comes when it is dry again', () => {
    const later = { ...live('A'), arrive: hoursLater(50) }
    const { problem } = planningProblem(shopWithout(shop, [damp(0, 40)]), [later], { now: MONDAY })
    expect(problem.jobs[0]!.operations.map(({ id }) => id)).toEqual(later.plan.operations.map(({ id }) => id))
  })
})

describe('work that began at the very slot at which the shop is planned', () => {
  const wash = live('A').plan.operations[0]!
  test('is all still to do, by whoever began it', () => {
    const { schedule, placed } = planned(
      [live('A', { wash: { kind: 'started', at: MONDAY, by: toPersonId('brida') } })],
      [],
    )
    expect(schedule.reasons).toEqual([])
    const began = placed.find(({ operation }) => operation === 'wash')!
    expect(began).toMatchObject({ start: MONDAY, end: plusMinutes(MONDAY, wash.minutes), people: ['brida'] })
    expect(placed.some(({ operation }) => operation.includes(':'))).toBe(false)
  })
  test('by somebody off shift goes on all the same', () => {
    const { schedule, placed } = planned(
      [live('A', { wash: { kind: 'started', at: MONDAY, by: toPersonId('oran') } })],
      [],
    )
    expect(schedule.reasons).toEqual([])
    expect(placed.find(({ operation }) => operation === 'wash')!.end).toBe(plusMinutes(MONDAY, wash.minutes))
  })
  test('has no past a slot later either, but what is past then counts', () => {
    const job = live('A', { wash: { kind: 'started', at: MONDAY, by: toPersonId('brida') } })
    const { schedule, placed } = planned([job], [], hoursLater(0.5))
    expect(schedule.reasons).toEqual([])
    const began = placed.find(({ operation }) => operation === 'wash')!
    expect(began).toMatchObject({ start: MONDAY, end: plusMinutes(MONDAY, wash.minutes) })
  })
})

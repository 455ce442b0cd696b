import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import { atLocal, dayIn, type Instant, instantOrThrow, minutesBetween, plusDays } from '../../time'
import { openMinutesBetween, type PlacedOperation, type Problem, seededRandom, solve } from '..'
import { coatingJob, shopProblem, withSpread } from '../solver/problems.fixture'
import { luckIn, rehearseDaily } from './daily'
import { LivedShop, type LuckOf } from './lived-shop'
import { drawLuck } from './luck'
import { rehearse, TOLERATED_MINUTES } from './rehearse'

const DUE = '2027-01-15T17:00:00Z'
const crowded = (by: number) =>
  withSpread(shopProblem([1, 2, 3, 1, 2].map((layers, at) => coatingJob(`J${at}`, layers, { due: DUE }))), by)
const planned = (problem: Problem) => solve(problem, { seed: 1, steps: 40 }).schedule.operations

/** Lives a plan through, day by day. */
function livedThrough(problem: Problem, placed: readonly PlacedOperation[], luck: LuckOf) {
  const shop = new LivedShop(problem, luck, { early: false, tolerate: TOLERATED_MINUTES })
  for (const job of problem.jobs)
    shop.take(
      job,
      placed.filter((each) => each.job === job.id),
    )
  const zone = problem.timezone
  const mornings: { now: Instant; real: PlacedOperation[] }[] = []
  for (let day = plusDays(dayIn(zone, problem.origin), 1); !shop.isIdle; day = plusDays(day, 1)) {
    const now = atLocal(zone, day, '00:00')
    shop.goOn(now)
    shop.planAnew()
    mornings.push({ now, real: shop.placed().filter(({ start }) => start < now) })
  }
  return { lived: shop.lived(), mornings }
}

const luckOf = (problem: Problem, seed: number) => luckIn(problem, drawLuck(problem, seededRandom(seed)))

describe('a shop that lives through a plan', () => {
  test('goes by the plan to the minute where all takes what it was planned to', () => {
    const problem = crowded(0)
    const placed = planned(problem)
    const { lived } = livedThrough(problem, placed, () => 1)
    const key = ({ job, operation }: PlacedOperation) => `${job} ${operation}`
    const times = (all: readonly PlacedOperation[]) =>
      all.map((each) => [key(each), each.start, each.end, each.place]).toSorted()
    expect(times(lived.flatMap(({ operations }) => operations))).toEqual(times(placed))
  })
  test('with any luck: everything is done once, in its order, by whoever can, nobody is in two places, and no two cars in one', () => {
    const problem = crowded(0.35)
    const placed = planned(problem)
    const skills = new Map<string, readonly string[]>(problem.people.map(({ id, skills: can }) => [id, can]))
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const luck = luckOf(problem, seed)
        const { lived, mornings } = livedThrough(problem, placed, luck)
        expect(lived.map(({ job }) => job.id).toSorted()).toEqual(problem.jobs.map(({ id }) => id).toSorted())
        const all = lived.flatMap(({ operations }) => operations)
        for (const { job, operations } of lived) {
          const of = (id: string) => operations.find(({ operation }) => operation === id)!
          for (const { from, to, min } of job.links)
            expect(minutesBetween(of(from).end, of(to).start)).toBeGreaterThanOrEqual(min)
          for (const operation of job.operations) {
            const { people, start } = of(operation.id)
            expect(start >= job.arrive).toBe(true)
            if (operation.mode === 'unattended') continue
            expect(people).toHaveLength(operation.people)
            for (const person of people) expect(skills.get(person)).toContain(operation.skill)
          }
        }
        for (const { id } of problem.people) {
          const own = all
            .filter(({ people }) => people.includes(id))
            .toSorted((a, b) => (a.start < b.start ? -1 : 1))
          for (const [at, { start }] of own.entries())
            if (at > 0) expect(own[at - 1]!.end <= start).toBe(true)
        }
        const stays = lived.flatMap(({ job, operations }) =>
          job.stays.map(({ operations: ids }) => {
            const own = operations.filter(({ operation }) => ids.includes(operation))
            return {
              place: own[0]!.place,
              from: own.map(({ start }) => start).toSorted()[0]!,
              to: own
                .map(({ end }) => end)
                .toSorted()
                .at(-1)!,
            }
          }),
        )
        for (const { id, capacity } of problem.places)
          for (const stay of stays.filter(({ place }) => place === id))
            expect(
              stays.filter(({ place, from, to }) => place === id && from <= stay.from && stay.from < to)
                .length,
            ).toBeLessThanOrEqual(capacity)
        // What has begun stays as it was: no later morning knows better.
        for (const { real } of mornings)
          for (const was of real)
            expect(all.find(({ job, operation }) => job === was.job && operation === was.operation)).toEqual(
              was,
            )
      }),
      { numRuns: tries(12, 100) },
    )
  })
  test('work takes what luck makes of it, in the hours of whoever does it', () => {
    const problem = crowded(0.3)
    const luck = luckOf(problem, 11)
    const { lived } = livedThrough(problem, planned(problem), luck)
    const shifts = new Map(problem.people.map(({ id, calendar }) => [id, problem.calendars[calendar]!]))
    for (const { job, operations } of lived)
      for (const { id, minutes, mode } of job.operations) {
        const { start, end, people } = operations.find(({ operation }) => operation === id)!
        const spent =
          mode === 'pausable'
            ? openMinutesBetween(shifts.get(people[0]!)!, problem.timezone, start, end)
            : minutesBetween(start, end)
        const wanted = mode === 'unattended' ? minutes : minutes * luck(job.id, id)
        expect(Math.abs(spent - wanted)).toBeLessThanOrEqual(2)
      }
  })
})

describe('a rehearsal that re-plans each morning', () => {
  test('of work that takes as long as it is planned is the one that does not', () => {
    const problem = crowded(0)
    const placed = planned(problem)
    expect(rehearseDaily(problem, placed, { runs: 3 })).toEqual(rehearse(problem, placed, { runs: 3 }))
  })
  test('is the same for the same seed; its figures are shares and in order', () => {
    const problem = crowded(0.25)
    const placed = planned(problem)
    const of = (seed: number) => rehearseDaily(problem, placed, { runs: 12, seed })
    expect(of(5)).toEqual(of(5))
    expect(of(5)).not.toEqual(of(6))
    for (const { p50, p80, p95 } of of(5).jobs) expect(p50 <= p80 && p80 <= p95).toBe(true)
  })
  test('what has begun by the problem itself is as it is written', () => {
    const problem = crowded(0.2)
    const placed = planned(problem)
    const first = placed.find(
      ({ job, operation }) => job === 'J0' && operation === problem.jobs[0]!.operations[0]!.id,
    )!
    const begun = {
      ...problem,
      origin: instantOrThrow(first.end),
      fixed: [
        {
          job: first.job,
          operation: first.operation,
          start: first.start,
          place: first.place,
          people: first.people,
        },
      ],
    }
    const [job] = rehearseDaily(begun, placed, { runs: 4 }).jobs
    expect(job!.p95 > first.end).toBe(true)
    const shop = new LivedShop(begun, () => 3, { early: false, tolerate: 30 })
    shop.take(
      begun.jobs[0]!,
      placed.filter((each) => each.job === 'J0'),
    )
    expect(shop.placed().find(({ operation }) => operation === first.operation)).toEqual(first)
  })
  test('loses no more promises than keeping to the order of the plan whatever comes', () => {
    const problem = crowded(0.3)
    const placed = planned(problem)
    const kept = (rehearsal: ReturnType<typeof rehearse>) =>
      rehearsal.jobs.reduce((sum, { chanceByDue }) => sum + chanceByDue!, 0)
    expect(kept(rehearseDaily(problem, placed, { runs: 60 }))).toBeGreaterThanOrEqual(
      kept(rehearse(problem, placed, { runs: 60 })) - 0.1,
    )
  })
})

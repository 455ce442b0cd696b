import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import {
  checkSchedule,
  makeWay,
  type PlacedOperation,
  type Problem,
  problemSchema,
  scheduleFrom,
  solve,
} from '..'
import { smallProblem } from '../solver/small-problem.fixture'

/** A day of work on each car, one car a day: what is due is due at the end of a day of January 2027, a Monday the 11th. */
function oneADay(due: Record<string, number>): Problem {
  const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']
  return problemSchema.parse({
    format: 'fern-yard/schedule-problem@1',
    timezone: 'Europe/Dublin',
    origin: '2027-01-11T08:00:00+00:00',
    slotMinutes: 15,
    horizonDays: 20,
    objective: { tardiness: 100, hold: 2, finish: 1, makespan: 0 },
    calendars: { day: { weekly: Object.fromEntries(weekdays.map((day) => [day, [['08:00', '16:00']]])) } },
    places: [{ id: 'loft', kinds: ['studio'], capacity: 1, calendar: 'day' }],
    people: [{ id: 'hand', skills: ['correct'], calendar: 'day' }],
    jobs: Object.entries(due).map(([id, day]) => ({
      id,
      arrive: '2027-01-11T08:00:00+00:00',
      due: `2027-01-${day}T16:00:00+00:00`,
      weight: 1,
      operations: [{ id: 'work', minutes: 480, mode: 'solid', people: 1, skill: 'correct' }],
      links: [],
      stays: [{ id: 'stay', kind: 'studio', operations: ['work'] }],
    })),
  })
}

/** Each car on the day that is named, the whole of it. */
const onDays = (days: Record<string, number>): PlacedOperation[] =>
  Object.entries(days).map(([job, day]) => {
    const [start, end] = [`2027-01-${day}T08:00:00.000Z`, `2027-01-${day}T16:00:00.000Z`]
    return { job, operation: 'work', start, end, place: 'loft', people: ['hand'], segments: [[start, end]] }
  }) as never

const IN_TIME = { jobs: 0, minutes: 0 }

const daysIn = (plan: readonly PlacedOperation[]) =>
  Object.fromEntries(plan.map(({ job, start }) => [job, Number(start.slice(8, 10))]))

describe('a car that would be late', () => {
  test('takes the day of the one that can wait, and nobody else moves', () => {
    const problem = oneADay({ a: 12, b: 11, c: 20, d: 13 })
    const plan = onDays({ b: 11, c: 12, d: 13, a: 14 })
    expect(daysIn(makeWay(problem, plan, new Set(['a']), IN_TIME)!)).toEqual({ b: 11, c: 14, d: 13, a: 12 })
  })
  test('goes by way of two, where nobody can wait long enough alone', () => {
    // Only e can wait for the 15th, but a needs a day before the 13th.
    const problem = oneADay({ a: 12, b: 11, c: 13, e: 20, d: 14 })
    const plan = onDays({ b: 11, c: 12, e: 13, d: 14, a: 15 })
    const way = daysIn(makeWay(problem, plan, new Set(['a']), IN_TIME)!)
    expect(way).toEqual({ b: 11, a: 12, c: 13, d: 14, e: 15 })
  })
  test('is as little late as may be, where no three help', () => {
    const problem = oneADay({ a: 11, b: 11, c: 20 })
    const plan = onDays({ b: 11, c: 12, a: 13 })
    const way = makeWay(problem, plan, new Set(['a']), { jobs: 0, minutes: 1440 })
    expect(daysIn(way!)).toEqual({ b: 11, a: 12, c: 13 })
    expect(makeWay(problem, plan, new Set(['a']), IN_TIME)).toBeUndefined()
  })
  test('nothing is found where nobody can wait', () => {
    const problem = oneADay({ a: 11, b: 11, c: 12 })
    expect(makeWay(problem, onDays({ b: 11, c: 12, a: 13 }), new Set(['a']), IN_TIME)).toBeUndefined()
  })
})

test('no rule is broken, and three others move at most', () => {
  let found = 0
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
      const problem = smallProblem(seed)
      const { status, operations } = solve(problem, { seed, steps: 0 }).schedule
      const touched = problem.jobs.at(-1)!.id
      if (status === 'infeasible') return
      const way = makeWay(problem, operations, new Set([touched]), IN_TIME)
      if (!way) return
      found++
      expect(checkSchedule(problem, scheduleFrom(problem, way))).toEqual([])
      const was = new Map(operations.map((each) => [`${each.job} ${each.operation}`, each]))
      const moved = way.filter(({ job, operation, start, place }) => {
        const before = was.get(`${job} ${operation}`)!
        return before.start !== start || before.place !== place
      })
      const others = new Set(moved.map(({ job }) => job).filter((job) => job !== touched))
      expect(others.size).toBeLessThanOrEqual(3)
    }),
    { numRuns: tries(150, 3000) },
  )
  expect(found).toBeGreaterThan(0)
})

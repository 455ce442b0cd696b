import { expect, test } from 'vitest'
import { checkSchedule, problemSchema, solve } from '.'

/** ft06 of Fisher and Thompson (1963): machine and minutes of each operation; the optimum makespan is 55. */
const FT06 = [
  [
    [2, 1],
    [0, 3],
    [1, 6],
    [3, 7],
    [5, 3],
    [4, 6],
  ],
  [
    [1, 8],
    [2, 5],
    [4, 10],
    [5, 10],
    [0, 10],
    [3, 4],
  ],
  [
    [2, 5],
    [3, 4],
    [5, 8],
    [0, 9],
    [1, 1],
    [4, 7],
  ],
  [
    [1, 5],
    [0, 5],
    [2, 5],
    [3, 3],
    [4, 8],
    [5, 9],
  ],
  [
    [2, 9],
    [1, 3],
    [4, 5],
    [5, 4],
    [0, 3],
    [3, 1],
  ],
  [
    [1, 3],
    [3, 3],
    [5, 9],
    [0, 10],
    [4, 4],
    [2, 1],
  ],
] as const
const OPTIMUM = 55

const problem = problemSchema.parse({
  format: 'fern-yard/schedule-problem@1',
  timezone: 'Europe/Dublin',
  origin: '2027-01-11T08:00:00Z',
  slotMinutes: 1,
  horizonDays: 1,
  objective: { tardiness: 0, hold: 0, finish: 0, makespan: 1 },
  calendars: { always: { always: true } },
  places: [{ id: 'hall', kinds: ['hall'], capacity: 6, calendar: 'always' }],
  people: [0, 1, 2, 3, 4, 5].map((machine) => ({
    id: `m${machine}`,
    skills: [`m${machine}`],
    calendar: 'always',
  })),
  jobs: FT06.map((operations, number) => ({
    id: `J${number}`,
    arrive: '2027-01-11T08:00:00Z',
    operations: operations.map(([machine, minutes], index) => ({
      id: `o${index}`,
      minutes,
      mode: 'solid',
      people: 1,
      skill: `m${machine}`,
    })),
    links: operations.slice(1).map((_, index) => ({ from: `o${index}`, to: `o${index + 1}` })),
    stays: [{ id: 's', kind: 'hall', operations: operations.map((_, index) => `o${index}`) }],
  })),
})

test('ft06 is solved validly, never below its known optimum and within a fifth of it', () => {
  const { schedule } = solve(problem, { seed: 3, steps: 300 })
  expect(checkSchedule(problem, schedule)).toEqual([])
  expect(schedule.cost!).toBeGreaterThanOrEqual(OPTIMUM)
  expect(schedule.lowerBound!).toBeLessThanOrEqual(OPTIMUM)
  expect(schedule.cost!).toBeLessThanOrEqual(OPTIMUM * 1.2)
  if (schedule.status === 'optimal') expect(schedule.cost).toBe(OPTIMUM)
})

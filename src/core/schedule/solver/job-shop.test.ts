import { describe, expect, test } from 'vitest'
import { checkSchedule, type Problem, solve } from '..'
import { ft06, ft10, la01 } from './problems.fixture'

/** Makespans published as optimal, and how many of its steps the search is given. */
const KNOWN = [
  { name: 'ft06', problem: ft06, optimum: 55, within: 55, steps: 1500 },
  { name: 'la01', problem: la01, optimum: 666, within: 666, steps: 1500 },
  { name: 'ft10', problem: ft10, optimum: 930, within: 948, steps: 1500 },
]

function solved(problem: Problem, { seed, steps, within }: { seed: number; steps: number; within: number }) {
  let cost = Number.POSITIVE_INFINITY
  return solve(problem, {
    seed,
    steps,
    onBetter: (better) => {
      cost = better.cost
    },
    shouldStop: () => cost <= within,
  }).schedule
}

describe.each(KNOWN)('$name', ({ problem, optimum, within, steps }) => {
  test.each([1, 2, 3])('ends as soon as is known to be possible, or nearly, from seed %i', (seed) => {
    const schedule = solved(problem, { seed, steps, within })
    expect(checkSchedule(problem, schedule)).toEqual([])
    expect(schedule.cost).toBeGreaterThanOrEqual(optimum)
    expect(schedule.cost).toBeLessThanOrEqual(within)
    expect(schedule.lowerBound!).toBeLessThanOrEqual(optimum)
  })
})

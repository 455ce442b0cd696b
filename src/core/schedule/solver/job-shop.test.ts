import { expect, test } from 'vitest'
import { checkSchedule, solve } from '..'
import { ft06 } from './problems.fixture'

const OPTIMUM = 55

test.each([1, 2, 3])('ft06 is solved to its known optimum, from seed %i', (seed) => {
  let cost = Number.POSITIVE_INFINITY
  const { schedule } = solve(ft06, {
    seed,
    steps: 60_000,
    onBetter: (better) => {
      cost = better.cost
    },
    shouldStop: () => cost <= OPTIMUM,
  })
  expect(checkSchedule(ft06, schedule)).toEqual([])
  expect(schedule.cost).toBe(OPTIMUM)
  expect(schedule.lowerBound!).toBeLessThanOrEqual(OPTIMUM)
})

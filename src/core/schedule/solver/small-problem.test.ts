import loadHighs from 'highs'
import { expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import { checkSchedule, solve } from '..'
import { exactAnswer } from './programme.fixture'
import { smallProblem } from './small-problem.fixture'

/** A few of the hundred problems of the benchmark, which compares them all. */
const SEEDS = Array.from({ length: tries(2, 8) }, (_, index) => 1 + 12 * index)

test('small problems cost what an exact solver says, one in a hundred more at most', async () => {
  const highs = await loadHighs()
  let excess = 0
  let compared = 0
  for (const seed of SEEDS) {
    const problem = smallProblem(seed)
    const exact = exactAnswer(highs, problem)
    const { schedule } = solve(problem, { seed: 1, steps: 4000 })
    expect(checkSchedule(problem, schedule), `seed ${seed}`).toEqual([])
    if (exact.kind === 'unknown') continue
    expect(schedule.status === 'infeasible', `seed ${seed}`).toBe(exact.kind === 'none')
    if (exact.kind === 'none') continue
    const least = exact.cost
    expect(schedule.cost!, `seed ${seed}`).toBeGreaterThanOrEqual(least)
    expect(schedule.cost!, `seed ${seed}`).toBeLessThanOrEqual(1.06 * least)
    expect(schedule.lowerBound!, `seed ${seed}`).toBeLessThanOrEqual(least)
    if (schedule.status === 'optimal') expect(schedule.cost, `seed ${seed}`).toBe(least)
    excess += schedule.cost! / least - 1
    compared++
  }
  expect(compared).toBeGreaterThan(tries(1, 4))
  // One of a few may be some hundredths above; over many they are next to nothing.
  expect(excess / compared).toBeLessThan(tries(0.03, 0.01))
}, 240_000)

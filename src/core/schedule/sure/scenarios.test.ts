import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import { solve } from '..'
import { compileModel } from '../solver/model'
import { readPlacements } from '../solver/placements'
import { withSpread } from '../solver/problems.fixture'
import { smallProblem } from '../solver/small-problem.fixture'
import { Scenarios } from './scenarios'

const RULES = { early: false, tolerate: 30 }
const COUNT = 24

/** A problem judged, and the plans of it by several seeds; nothing where it has none. */
function plansOf(seed: number) {
  const problem = withSpread(smallProblem(seed), 0.3)
  const schedules = [1, 2].map((each) => solve(problem, { seed: each, steps: 3 * each }).schedule)
  if (schedules.some(({ status }) => status === 'infeasible')) return undefined
  const model = compileModel(problem)
  return {
    scenarios: new Scenarios(problem, RULES, { count: COUNT, seed, sure: 0.8 }),
    plans: schedules.map(({ operations }) => readPlacements(model, operations)),
  }
}

describe('a plan that is played out', () => {
  test('costs the same whether it races or not, unless it is given up', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3000 }),
        fc.double({ min: 0.8, max: 1.2, noNaN: true }),
        (seed, of) => {
          const known = plansOf(seed)
          if (!known) return
          const { scenarios, plans } = known
          const [one, other] = plans.map((plan) => scenarios.judge(plan))
          expect(one!.runs.reduce((sum, own) => sum + own, 0) / COUNT).toBeCloseTo(one!.cost, 3)
          const raced = scenarios.judge(plans[1]!, of * one!.cost, one)
          if (raced.cost === Number.POSITIVE_INFINITY) expect(raced.runs.length).toBeLessThanOrEqual(COUNT)
          else {
            expect(raced.cost).toBe(other!.cost)
            expect(raced.cost).toBeLessThan(of * one!.cost)
          }
        },
      ),
      { numRuns: tries(40, 600) },
    )
  })
  test('never loses against itself', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const known = plansOf(seed)
      if (!known) continue
      const [plan] = known.plans
      const whole = known.scenarios.judge(plan!)
      expect(known.scenarios.judge(plan!, whole.cost + 1, whole).cost).toBe(whole.cost)
    }
  })
  test('is given up after a few runs where it is dearer in each of them', () => {
    const known = plansOf(1)!
    const whole = known.scenarios.judge(known.plans[0]!)
    const cheaper = {
      cost: whole.cost / 2,
      runs: whole.runs.map((own) => own / 2),
    }
    const { cost, runs } = known.scenarios.judge(known.plans[0]!, 1.9 * cheaper.cost, cheaper)
    expect(cost).toBe(Number.POSITIVE_INFINITY)
    expect(runs.length).toBeLessThan(COUNT)
  })
})

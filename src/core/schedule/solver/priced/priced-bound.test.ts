import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tries } from '../../../long.fixture'
import { type Problem, problemSchema, solve } from '../..'
import { boundOf } from '../bound'
import { compileModel } from '../model'
import { coatingJob, fileOf, shopProblem } from '../problems.fixture'
import { smallProblem } from '../small-problem.fixture'
import { chainOf, isAligned } from './chain'
import { grain, PricedBound } from './priced-bound'

function pricedBound(problem: Problem, best: number, rounds: number): PricedBound {
  const model = compileModel(problem)
  const priced = new PricedBound(model, boundOf(model))
  priced.improve({ best, rounds })
  return priced
}

/** Work in minutes that fall on no slot, in a few shapes: with a window, with something beside, with a wait that begins by itself. */
const oddJob = (
  id: string,
  [wash, cut, coat, wait]: readonly number[],
  more: Record<string, unknown> = {},
) => ({
  id,
  arrive: '2027-01-11T07:20:00Z',
  due: '2027-01-12T15:10:00Z',
  operations: [
    { id: 'wash', minutes: wash, mode: 'solid', people: 1, skill: 'prep' },
    { id: 'seat', minutes: 50, mode: 'pausable', people: 1, skill: 'prep' },
    { id: 'cut', minutes: cut, mode: 'pausable', people: 1, skill: 'correct' },
    { id: 'coat', minutes: coat, mode: 'solid', people: 1, skill: 'coat' },
    { id: 'cure', minutes: wait, mode: 'unattended' },
  ],
  links: [
    { from: 'wash', to: 'cut', min: 7 },
    { from: 'cut', to: 'coat', max: 200 },
    { from: 'coat', to: 'cure', min: 0, max: 0 },
  ],
  stays: [
    { id: 'wet', kind: 'wash', operations: ['wash'] },
    { id: 'dry', kind: 'studio', operations: ['seat', 'cut', 'coat', 'cure'] },
  ],
  ...more,
})
const minutes = fc.tuple(
  fc.integer({ min: 11, max: 90 }),
  fc.integer({ min: 60, max: 700 }),
  fc.integer({ min: 20, max: 170 }),
  fc.integer({ min: 30, max: 800 }),
)
const oddShop = (jobs: readonly (readonly number[])[]): Problem =>
  shopProblem(jobs.map((job, at) => oddJob(`J${at}`, job)) as never)

describe('a bound by prices', () => {
  test('is never above what any schedule costs, whatever the minutes', () => {
    fc.assert(
      fc.property(fc.array(minutes, { minLength: 1, maxLength: 4 }), (jobs) => {
        const problem = oddShop(jobs)
        expect(isAligned(compileModel(problem))).toBe(false)
        const { schedule } = solve(problem, { seed: 1, steps: 30, unproven: true })
        if (schedule.status === 'infeasible') return
        expect(pricedBound(problem, schedule.cost!, 40).bound).toBeLessThanOrEqual(schedule.cost!)
      }),
      { numRuns: tries(15, 200) },
    )
  })
  test('never falls with more rounds, and is over no sooner for a better schedule', () => {
    const problem = shopProblem([1, 2, 1, 3].map((layers, at) => coatingJob(`J${at}`, layers)))
    const { schedule } = solve(problem, { seed: 1, steps: 100, unproven: true })
    const priced = pricedBound(problem, schedule.cost!, 0)
    let before = priced.bound
    for (let round = 0; round < 30; round++) {
      const bound = priced.improve({ best: schedule.cost!, rounds: 1 })
      expect(bound).toBeGreaterThanOrEqual(before)
      expect(bound).toBeLessThanOrEqual(schedule.cost!)
      before = bound
    }
    expect(before).toBeGreaterThan(boundOf(compileModel(problem)).cost)
  })
  test('proves at least half of the small problems of up to three jobs', () => {
    let [found, proved] = [0, 0]
    for (let seed = 1; seed <= tries(24, 100); seed++) {
      const problem = smallProblem(seed)
      if (problem.jobs.length > 3) continue
      const { schedule } = solve(problem, { seed: 1, steps: 1200 })
      if (schedule.status === 'infeasible') continue
      found++
      if (schedule.status === 'optimal') proved++
    }
    expect(found).toBeGreaterThan(8)
    expect(proved / found).toBeGreaterThanOrEqual(0.5)
  })
  test('costs of whole hours are whole multiples of an hour; of odd minutes of nothing', () => {
    const problem = smallProblem(3)
    const { tardiness, hold, finish } = problem.objective
    expect(
      [tardiness, hold, finish].every((rate) => (rate * 60) % (grain(compileModel(problem)) || 1) === 0),
    ).toBe(true)
    expect(grain(compileModel(problem)) % 60).toBe(0)
    expect(grain(compileModel(oddShop([[30, 300, 60, 500]])))).toBe(0)
  })
  test('a job that has begun is priced by itself, and one with work beside goes by its longest way', () => {
    const problem = oddShop([[30, 300, 60, 500]])
    const model = compileModel(problem)
    const chain = chainOf(model, model.jobs[0]!, 200)!
    expect(chain.steps).toHaveLength(4)
    expect(chain.steps.flatMap(({ begins }) => begins)).toEqual([0, 1])
    const [job] = problem.jobs
    const start = '2027-01-11T08:00:00Z'
    const begun = problemSchema.parse({
      ...JSON.parse(fileOf(problem)),
      fixed: [{ job: job!.id, operation: 'wash', start, people: [problem.people[0]!.id], place: 'wash-1' }],
    })
    const fixed = compileModel(begun)
    expect(chainOf(fixed, fixed.jobs[0]!, 200)).toBeUndefined()
    const known = boundOf(fixed)
    const priced = new PricedBound(fixed, known)
    expect(priced.improve({ best: 1e9, rounds: 3 })).toBeCloseTo(known.alone[0]!, 6)
  })
})

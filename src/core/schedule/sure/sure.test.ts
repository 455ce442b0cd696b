import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import { checkSchedule, type Problem, promisesOf, rehearse, solve, solveSure } from '..'
import { compileModel } from '../solver/model'
import { placeJob } from '../solver/place-job'
import { coatingJob, shopProblem, withSpread } from '../solver/problems.fixture'
import { ShopState } from '../solver/shop-state'
import { smallProblem } from '../solver/small-problem.fixture'
import { roomsIn } from './rooms'

const DUE = '2027-01-18T17:00:00Z'
const crowded = (spread: number) =>
  withSpread(
    shopProblem([1, 2, 1, 1, 2].map((layers, at) => coatingJob(`J${at}`, layers, { due: DUE }))),
    spread,
  )

const lost = (problem: Problem, operations: Parameters<typeof rehearse>[1]) => {
  const { windows } = rehearse(problem, operations, { runs: 300, seed: 77 })
  return windows.reduce((sum, { chanceKept }) => sum + 1 - chanceKept, 0) / windows.length
}

describe('a plan that is to hold', () => {
  test('loses far fewer windows, and is in time more often, than the plan that is cheapest on paper', () => {
    const problem = crowded(0.2)
    const bare = solve(problem, { seed: 1, steps: 150 }).schedule
    const { schedule } = solveSure(problem, { sure: 0.8, seed: 1, steps: 1200 })
    expect(checkSchedule(problem, schedule)).toEqual([])
    expect(schedule.cost!).toBeGreaterThanOrEqual(bare.cost!)
    expect(lost(problem, schedule.operations)).toBeLessThan(0.5 * lost(problem, bare.operations))
    const inTime = (operations: typeof bare.operations) =>
      rehearse(problem, operations, { runs: 300, seed: 77 }).jobs.reduce(
        (sum, job) => sum + job.chanceByDue!,
        0,
      )
    expect(inTime(schedule.operations)).toBeGreaterThan(inTime(bare.operations))
  })
  test('is the plan on paper where nothing varies, and promises its very ends', () => {
    const problem = crowded(0)
    const { schedule, promises } = solveSure(problem, { sure: 0.8, seed: 1, steps: 60 })
    const { jobs } = rehearse(problem, schedule.operations, { runs: 1 })
    expect(promises).toEqual(jobs.map(({ job, planned }) => ({ job, by: planned, chance: 1 })))
  })
  test('is the same for the same seed and steps', () => {
    const problem = crowded(0.2)
    const of = () => solveSure(problem, { sure: 0.8, seed: 3, steps: 40 })
    expect(of()).toEqual(of())
  })
  test('is none where a job can have no place: that is said at once, with the reason', () => {
    const { jobs, ...shop } = crowded(0.2)
    const [first] = jobs
    const impossible = {
      ...first!,
      operations: first!.operations.map((each) => ({ ...each, skill: 'nobody' })),
    }
    const { schedule } = solveSure({ ...shop, jobs: [impossible] }, { sure: 0.8, seed: 1, steps: 200 })
    expect(schedule.status).toBe('infeasible')
    expect(schedule.reasons.length).toBeGreaterThan(0)
  })
  test('breaks no rule of any small problem, and has no place for a job only where the plan on paper has none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (seed, spread) => {
          const problem = withSpread(smallProblem(seed), spread)
          const { schedule, promises } = solveSure(problem, { sure: 0.9, seed, steps: 25 })
          if (schedule.status === 'infeasible') return
          expect(checkSchedule(problem, schedule)).toEqual([])
          expect(promises.map(({ job }) => job).toSorted()).toEqual(
            problem.jobs.map(({ id }) => id).toSorted(),
          )
        },
      ),
      { numRuns: tries(25, 400) },
    )
  })
})

describe('a promise', () => {
  test('is later the surer it is to be, and holds at least as often as it says', () => {
    const problem = crowded(0.25)
    const { operations } = solve(problem, { seed: 1, steps: 40 }).schedule
    const [half, eight, most] = [0.5, 0.8, 0.95].map((sure) =>
      promisesOf(problem, operations, sure, { runs: 400 }),
    )
    for (const [at, { by, chance }] of eight!.entries()) {
      expect(chance).toBeGreaterThanOrEqual(0.8)
      expect(half![at]!.by <= by && by <= most![at]!.by).toBe(true)
    }
  })
})

describe('room', () => {
  const problem = withSpread(shopProblem([coatingJob('A', 2)]), 0.2)
  const model = compileModel(problem)
  const placed = (roominess: { behind: number; before: number }) => {
    const roomy = compileModel(problem, [roomsIn(problem, model, 30)(0, roominess)])
    const attempt = placeJob({ model: roomy, shop: new ShopState(roomy) }, roomy.jobs[0]!)
    if (!attempt.ok) throw new Error(attempt.failure.code)
    return attempt.placed.placement.operations
  }
  const at = (id: string) => model.jobs[0]!.operations.findIndex((each) => each.id === id)
  test('none of it leaves a job where it lay', () => {
    const bare = placeJob({ model, shop: new ShopState(model) }, model.jobs[0]!)
    expect(bare.ok && bare.placed.placement.operations).toEqual(placed({ behind: 0, before: 0 }))
  })
  test('behind the work before a window is reached, in minutes of its people', () => {
    const [cut, coat] = ['cut', 'coat1'].map(at)
    const tight = placed({ behind: 0, before: 0 })
    const roomy = placed({ behind: 0, before: 1 })
    // 420 minutes that vary by a fifth: 84 minutes of shift.
    expect(tight[coat!]!.start - tight[cut!]!.end).toBeLessThan(84)
    const open = model.openOf(roomy[cut!]!.people[0]!)
    const between = open.reduce(
      (sum, { from, to }) =>
        sum + Math.max(0, Math.min(to, roomy[coat!]!.start) - Math.max(from, roomy[cut!]!.end)),
      0,
    )
    expect(between).toBeGreaterThanOrEqual(84)
  })
  test('behind solid work before its shift ends, beyond what is tolerated', () => {
    const [coat1, coat2] = ['coat1', 'coat2'].map(at)
    for (const index of [coat1!, coat2!]) {
      const { end, people } = placed({ behind: 1.7, before: 0 })[index]!
      const stretch = model.openOf(people[0]!).find(({ from, to }) => from < end && end <= to)!
      const deviation = index === coat1 ? 36 : Math.hypot(36, 36)
      expect(stretch.to - end).toBeGreaterThanOrEqual(Math.min(Math.floor(1.7 * deviation) - 30, 75))
    }
  })
})

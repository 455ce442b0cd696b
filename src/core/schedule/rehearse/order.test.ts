import fc from 'fast-check'
import { expect, test } from 'vitest'
import { tries } from '../../long.fixture'
import { solve } from '..'
import { withSpread } from '../solver/problems.fixture'
import { seededRandom } from '../solver/random'
import { smallProblem } from '../solver/small-problem.fixture'
import { drawLuck } from './luck'
import { playOut } from './play'
import { playOf } from './rehearse'

test('whatever runs over, nothing of a car is begun in a bay for one before all of the car before it there is over, nor by hands that are not free', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.boolean(), (seed, early) => {
      const problem = withSpread(smallProblem(seed), 0.5)
      const { status, operations } = solve(problem, { seed, steps: 5 }).schedule
      if (status === 'infeasible') return
      const { model, steps } = playOf(problem, operations)
      const luck = drawLuck(problem, seededRandom(seed))
      const factors = steps.map(({ job, operation }) => luck[job.index]![operation.index]!)
      const played = playOut(steps, factors, { early, tolerate: 30 })
      const stays = model.jobs.flatMap((job) =>
        job.stays.map((_, stay) => {
          const own = steps.flatMap((step, at) =>
            step.job === job && step.operation.stay === stay ? [{ step, run: played[at]! }] : [],
          )
          return {
            place: own[0]!.step.place,
            planned: {
              from: Math.min(...own.map(({ step }) => step.planned.from)),
              to: Math.max(...own.map(({ step }) => step.planned.to)),
            },
            from: Math.min(...own.map(({ run }) => run.from)),
            to: Math.max(...own.map(({ run }) => run.to)),
          }
        }),
      )
      for (const one of stays)
        for (const other of stays)
          if (one !== other && one.place === other.place && model.capacity[one.place] === 1)
            if (one.planned.to <= other.planned.from) expect(one.to).toBeLessThanOrEqual(other.from)
      for (const [at, one] of steps.entries())
        for (const [index, other] of steps.entries())
          if (at !== index && one.planned.to <= other.planned.from)
            if (one.people.some((person) => other.people.includes(person)))
              expect(played[at]!.to).toBeLessThanOrEqual(played[index]!.from)
    }),
    { numRuns: tries(120, 2000) },
  )
})

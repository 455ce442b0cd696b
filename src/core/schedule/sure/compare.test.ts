import { expect, test } from 'vitest'
import { chanceChanges, chancesByDue, solve } from '..'
import { coatingJob, shopProblem, withSpread } from '../solver/problems.fixture'

const problem = withSpread(
  shopProblem([1, 2, 1].map((layers, at) => coatingJob(`J${at}`, layers, { due: '2027-01-14T17:00:00Z' }))),
  0.2,
)
const { operations } = solve(problem, { seed: 1, steps: 40 }).schedule

test('a plan changes no chance against itself', () => {
  const chances = chancesByDue(problem, operations)
  expect([...chances.keys()].toSorted()).toEqual(['J0', 'J1', 'J2'])
  expect(chanceChanges(chances, chancesByDue(problem, operations))).toEqual([])
})

test('a day more for one job is seen at that job, and a day less the worst first', () => {
  const due = (day: string) => ({
    ...problem,
    jobs: problem.jobs.map((job) => ({ ...job, due: `2027-01-${day}T17:00:00Z` as typeof job.due })),
  })
  const [tight, loose] = ['12', '20'].map((day) => chancesByDue(due(day), operations))
  const better = chanceChanges(tight!, loose!)
  expect(better.length).toBeGreaterThan(0)
  for (const { before, after } of better) expect(after).toBeGreaterThan(before)
  const losses = chanceChanges(loose!, tight!).map(({ before, after }) => after - before)
  expect(losses).toEqual(losses.toSorted((a, b) => a - b))
})

import type { Problem } from '../contract/problem'
import type { Schedule } from '../contract/schedule-file'
import { type Promised, promisesOf } from './promises'
import { SureSolver, type SureSolverOptions } from './sure-solver'

export type SureOptions = SureSolverOptions & {
  /** The share of the time that is over, 0–1, asked between attempts. */
  elapsed?: () => number
}

export type SureSolution = { schedule: Schedule; promises: Promised[] }

/**
 * Places all jobs of a checked problem so that layers and ends hold though work takes longer than it should, and says by when each job
 * is done with the chance asked for. Where not all jobs find a place, the schedule is that of the plan on paper.
 */
export function solveSure(problem: Problem, { elapsed = () => 0, ...options }: SureOptions): SureSolution {
  const solver = new SureSolver(problem, options)
  for (let share = elapsed(); share < 1 && !solver.done; share = elapsed()) solver.step(share)
  const schedule = solver.schedule()
  return { schedule, promises: promisesOf(problem, schedule.operations, options.sure) }
}

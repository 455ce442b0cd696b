import type { Problem } from '../contract/problem'
import type { Schedule } from '../contract/schedule-file'
import { TOLERATED_MINUTES } from '../rehearse/rehearse'
import { scheduleOf } from '../solver/placements'
import { Solver } from '../solver/solve'
import { type Promised, promisesOf } from './promises'
import { SureSearch } from './sure-search'

export type SureOptions = {
  /** The chance with which what is due should be in time, and promises should hold; 0–1. */
  sure: number
  seed: number
  /** Improvement attempts at most, of both searches. */
  steps: number
  /** The share of the time that is over, 0–1, asked between attempts. */
  elapsed?: () => number
}

export type SureSolution = { schedule: Schedule; promises: Promised[] }

/** The share of the time in which the plan on paper is looked for, from which the other search begins. */
const ON_PAPER = 0.2

/**
 * Places all jobs of a checked problem so that layers and ends hold though work takes longer than it should, and says by when each job
 * is done with the chance asked for. Where not all jobs find a place, the schedule is that of the plan on paper.
 */
export function solveSure(
  problem: Problem,
  { sure, seed, steps, elapsed = () => 0 }: SureOptions,
): SureSolution {
  const solver = new Solver(problem, { seed, unproven: true })
  while (!solver.done && solver.steps < steps * ON_PAPER && elapsed() < ON_PAPER) solver.step()
  const onPaper = solver.schedule()
  if (onPaper.status === 'infeasible')
    return { schedule: onPaper, promises: promisesOf(problem, onPaper.operations, sure) }
  const rules = { early: false, tolerate: TOLERATED_MINUTES }
  const search = new SureSearch(problem, onPaper.operations, { seed, sure, rules })
  while (search.steps < steps - solver.steps && elapsed() < 1) search.step()
  const placements = search.best.placed.flatMap((job) => (job ? [job.placement] : []))
  const schedule = scheduleOf(search.model, placements)
  return { schedule, promises: promisesOf(problem, schedule.operations, sure) }
}

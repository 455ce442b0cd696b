import type { Model, ModelJob } from './model'
import { type JobPlacement, stayExtent } from './shop-state'

/** What one job adds to the terms of the cost; minutes, tardiness already times the job's weight. */
export type JobTerms = { tardiness: number; hold: number; finish: number; end: number }

export function jobTerms(job: ModelJob, placement: JobPlacement): JobTerms {
  const end = Math.max(...placement.operations.map((operation) => operation.end))
  const hold = job.stays.reduce((total, { holdShare }, stay) => {
    const { from, to } = stayExtent(job, placement, stay)
    return total + holdShare * (to - from)
  }, 0)
  return {
    tardiness: job.due === undefined ? 0 : job.weight * Math.max(0, end - job.due),
    hold,
    finish: end - job.arrive,
    end,
  }
}

/** Cost of one job by itself; the makespan counts only where this job would end it. */
export function jobCost(model: Model, job: ModelJob, placement: JobPlacement, makespan = 0): number {
  const { objective } = model.problem
  const terms = jobTerms(job, placement)
  return (
    objective.tardiness * terms.tardiness +
    objective.hold * terms.hold +
    objective.finish * terms.finish +
    objective.makespan * Math.max(0, terms.end - makespan)
  )
}

/** The four terms over all jobs, minutes. */
export function totalTerms(model: Model, placements: readonly JobPlacement[]) {
  const terms = { tardiness: 0, hold: 0, finish: 0, makespan: 0 }
  for (const placement of placements) {
    const { tardiness, hold, finish, end } = jobTerms(model.jobs[placement.job]!, placement)
    terms.tardiness += tardiness
    terms.hold += hold
    terms.finish += finish
    terms.makespan = Math.max(terms.makespan, end)
  }
  return terms
}

export function costOf(model: Model, terms: ReturnType<typeof totalTerms>): number {
  const { objective } = model.problem
  return (
    objective.tardiness * terms.tardiness +
    objective.hold * terms.hold +
    objective.finish * terms.finish +
    objective.makespan * terms.makespan
  )
}

import { fromEpochMinutes } from '../time'
import { lowerBound } from './bound'
import { costOf, totalTerms } from './cost'
import { workSegments } from './find-slot'
import { type Impossibility, impossibilitiesOf } from './impossible'
import { compileModel, type Model } from './model'
import type { Placed } from './place-job'
import type { Problem } from './problem'
import { failureReason, impossibilityReason } from './reasons'
import { type PlacedOperation, SCHEDULE_FORMAT, type Schedule } from './schedule-file'
import { type SearchOptions, search } from './search'

/** Shops of so many jobs are small enough for a proof that nothing is better. */
const PROOF_JOBS_MAX = 12

export type Solution = {
  schedule: Schedule
  /** Improvement attempts made: give this as `steps` with the same seed for the same schedule again. */
  steps: number
}

function writeOperations(model: Model, placed: Placed): PlacedOperation[] {
  const job = model.jobs[placed.placement.job]!
  const at = (minute: number) => fromEpochMinutes(model.originMinute + minute)
  return placed.placement.operations.map((laid, index): PlacedOperation => {
    const operation = job.operations[index]!
    const segments =
      operation.mode === 'pausable'
        ? workSegments(model.openFor(laid.people, laid.place), laid.start, laid.end)
        : [{ from: laid.start, to: laid.end }]
    return {
      job: job.id,
      operation: operation.id,
      start: at(laid.start),
      end: at(laid.end),
      people: laid.people.map((person) => model.personIds[person]!),
      place: model.placeIds[laid.place]!,
      segments: segments.map(({ from, to }) => [at(from), at(to)]),
    }
  })
}

function infeasible(model: Model, found: Impossibility[]): Schedule {
  return {
    format: SCHEDULE_FORMAT,
    status: 'infeasible',
    operations: [],
    reasons: found.map((each) => impossibilityReason(model, each)),
  }
}

/**
 * Places all jobs of a checked problem. `infeasible` carries a reason for each job that found no place; where that
 * is not proved, only the search having found none, the schedule of the others stands beside it.
 */
export function solve(problem: Problem, options: SearchOptions): Solution {
  const model = compileModel(problem)
  const impossible = model.jobs.flatMap((job) => impossibilitiesOf(model, job))
  if (impossible.length > 0) return { schedule: infeasible(model, impossible), steps: 0 }
  // In a large shop nothing is proved on the way; the first schedule should not wait for the better bound.
  const large = model.jobs.length > PROOF_JOBS_MAX
  const boundFirst = lowerBound(model, large)
  const found = search(model, options, boundFirst)
  const bound = large ? lowerBound(model) : boundFirst
  const placed = found.placed.filter((job) => job !== undefined)
  const terms = totalTerms(
    model,
    placed.map(({ placement }) => placement),
  )
  const cost = costOf(model, terms)
  const operations = placed.flatMap((job) => writeOperations(model, job))
  const reasons = [...found.failures].map(([job, failure]) => failureReason(model, job, failure))
  const status = reasons.length > 0 ? 'infeasible' : cost <= bound ? 'optimal' : 'feasible'
  return {
    schedule: {
      format: SCHEDULE_FORMAT,
      status,
      ...(status === 'infeasible' ? {} : { cost, lowerBound: bound }),
      terms,
      operations,
      reasons,
    },
    steps: found.steps,
  }
}

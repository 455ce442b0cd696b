import type { PersonId } from '../ids'
import type { PlannedOperation } from '../offer/job-plan'
import type { Instant } from '../time'
import { type LiveJob, progressAt } from './progress'

/** A step that is under way, or could be begun: whatever it follows has been done. */
export type OpenStep = { operation: PlannedOperation; isBegun: boolean; by: readonly PersonId[] }

/** All steps that are under way or could be begun, in the order of the job: a car may have several. */
export function openNow(job: LiveJob, now: Instant): OpenStep[] {
  const isDone = new Map(
    job.plan.operations.map((operation) => [operation.id, progressAt(job, operation, now).kind === 'done']),
  )
  return job.plan.operations.flatMap((operation): OpenStep[] => {
    const progress = progressAt(job, operation, now)
    if (progress.kind === 'done') return []
    const isBegun = progress.kind === 'started'
    const waits = job.plan.links.some(({ from, to }) => to === operation.id && !isDone.get(from))
    if (!isBegun && waits) return []
    const planned = job.published.find((placed) => placed.operation === operation.id)?.people ?? []
    return [{ operation, isBegun, by: isBegun && progress.by ? [progress.by] : planned }]
  })
}

/** What is at somebody else’s place asks nothing of whoever is at the car. */
const isOut = ({ operation, isBegun }: OpenStep) => isBegun && operation.away === 'piece'

/**
 * The step to go on with, for one person where one is named: what they are at, else what is theirs by the plan, else what is under way, else
 * what comes first. Undefined where all is done.
 */
export function goesOnWith(job: LiveJob, now: Instant, person?: PersonId): PlannedOperation | undefined {
  const all = openNow(job, now)
  const here = all.filter((step) => !isOut(step))
  const own = (step: OpenStep) => person !== undefined && step.by.includes(person)
  const found =
    here.find((step) => step.isBegun && own(step)) ??
    here.find(own) ??
    here.find(({ isBegun }) => isBegun) ??
    here[0] ??
    all[0]
  return (
    found?.operation ??
    job.plan.operations.find((operation) => progressAt(job, operation, now).kind !== 'done')
  )
}

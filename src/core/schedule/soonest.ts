import { fromEpochMinutes, type Instant } from '../time'
import { impossibilitiesOf } from './impossible'
import { compileModel } from './model'
import { placeJob } from './place-job'
import { readPlacements, writeOperations } from './placements'
import type { Problem, ProblemJob } from './problem'
import { failureReason, impossibilityReason } from './reasons'
import type { PlacedOperation, ScheduleReason } from './schedule-file'
import { ShopState } from './shop-state'

export type Soonest =
  | { kind: 'possible'; end: Instant; operations: PlacedOperation[] }
  | { kind: 'impossible'; reason: ScheduleReason }

/**
 * When one more job would be done at the soonest on a calendar that stands, with nobody on it moved. `placed` is that
 * calendar; jobs that are not wholly on it take no room. The problem and the job are taken to be checked.
 */
export function soonestFor(problem: Problem, placed: readonly PlacedOperation[], job: ProblemJob): Soonest {
  const model = compileModel({ ...problem, jobs: [...problem.jobs, job] })
  const added = model.jobs.at(-1)!
  const [impossible] = impossibilitiesOf(model, added)
  if (impossible) return { kind: 'impossible', reason: impossibilityReason(model, impossible) }
  const shop = new ShopState(model)
  for (const placement of readPlacements(model, placed))
    if (placement && placement.job !== added.index) shop.commit(model.jobs[placement.job]!, placement)
  const attempt = placeJob({ model, shop }, added)
  if (!attempt.ok) return { kind: 'impossible', reason: failureReason(model, added.index, attempt.failure) }
  const { placement } = attempt.placed
  const end = Math.max(...placement.operations.map((operation) => operation.end))
  return {
    kind: 'possible',
    end: fromEpochMinutes(model.originMinute + end),
    operations: writeOperations(model, placement),
  }
}

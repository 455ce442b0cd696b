import { fromEpochMinutes, type Instant } from '../../time'
import type { Problem, ProblemJob } from '../contract/problem'
import type { PlacingReason } from '../contract/reason'
import type { PlacedOperation } from '../contract/schedule-file'
import type { SlotContext } from './find-slot'
import { impossibilitiesOf } from './impossible'
import { compileModel, type ModelJob } from './model'
import { narrowed } from './place-groups'
import { type Placed, placeJob } from './place-job'
import { readPlacements, writeOperations } from './placements'
import { failureReason, impossibilityReason } from './reasons'
import type { JobRoom } from './room'
import { ShopState } from './shop-state'

export type Soonest =
  | { kind: 'possible'; end: Instant; operations: PlacedOperation[] }
  | { kind: 'impossible'; reason: PlacingReason }

/**
 * When one more job would be done at the soonest on a calendar that stands, with nobody on it moved. `placed` is that
 * calendar; jobs that are not wholly on it take no room. The problem and the job are taken to be checked. `room` is what is kept
 * free round the work of that job.
 */
export function soonestFor(
  problem: Problem,
  placed: readonly PlacedOperation[],
  job: ProblemJob,
  room?: JobRoom,
): Soonest {
  const rooms: JobRoom[] = []
  if (room) rooms[problem.jobs.length] = room
  const model = compileModel({ ...problem, jobs: [...problem.jobs, job] }, rooms)
  const added = model.jobs.at(-1)!
  const [impossible] = impossibilitiesOf(model, added)
  if (impossible) return { kind: 'impossible', reason: impossibilityReason(model, impossible) }
  const shop = new ShopState(model)
  for (const placement of readPlacements(model, placed))
    if (placement && placement.job !== added.index) shop.commit(model.jobs[placement.job]!, placement)
  // What is fixed of it is kept free until it is placed: for itself.
  shop.remove(added.index)
  const attempt = placeJob({ model, shop }, added)
  if (!attempt.ok) return { kind: 'impossible', reason: failureReason(model, added.index, attempt.failure) }
  const { placement } = asLateAsMayBe({ model, shop }, added, attempt.placed)
  const end = endOf({ placement })
  return {
    kind: 'possible',
    end: fromEpochMinutes(model.originMinute + end),
    operations: writeOperations(model, placement),
  }
}

const endOf = ({ placement }: Pick<Placed, 'placement'>) =>
  Math.max(...placement.operations.map((operation) => operation.end))

const DAY_MINUTES = 1440

/** The same end with nothing done days ahead of it: a car that is washed and then waits for weeks is washed too soon. */
function asLateAsMayBe(context: SlotContext, job: ModelJob, early: Placed): Placed {
  const starts = early.placement.operations.map(({ start }) => start)
  const first = Math.min(...starts)
  for (let from = Math.max(...starts); from - DAY_MINUTES > first; from -= DAY_MINUTES) {
    const later = narrowed(
      context.model,
      job,
      () => ({ notBefore: from }),
      ({ places }) => places,
    )
    const attempt = placeJob(context, later)
    if (attempt.ok && endOf(attempt.placed) <= endOf(early)) return attempt.placed
  }
  return early
}

import type { PlannedOperation } from '../offer/job-plan'
import type { Instant } from '../time'
import { goesOnWith } from './open-now'
import { type LiveJob, type Progress, progressAt } from './progress'

/** Where a job stands on its way through the shop. */
export type Stage =
  | { kind: 'to-measure' }
  | { kind: 'to-choose' }
  /** A visit that came in without a plan: to be looked at. */
  | { kind: 'to-look' }
  | { kind: 'planned'; next: PlannedOperation }
  | { kind: 'working'; operation: PlannedOperation; since: Instant }
  | { kind: 'between'; next: PlannedOperation }
  | { kind: 'waiting'; operation: PlannedOperation; since: Instant }
  | { kind: 'ready' }
  | { kind: 'handed-over' }

export type StageInput = {
  job: LiveJob | undefined
  surveyed: boolean
  handedOver: boolean
  isVisit?: boolean
}

/** Derives the stage from what was done; nothing about it is stored. */
export function stageOf({ job, surveyed, handedOver, isVisit = false }: StageInput, now: Instant): Stage {
  if (handedOver) return { kind: 'handed-over' }
  if (!job && isVisit) return { kind: 'to-look' }
  if (!job) return surveyed ? { kind: 'to-choose' } : { kind: 'to-measure' }
  const states = job.plan.operations.map((operation): [PlannedOperation, Progress] => [
    operation,
    progressAt(job, operation, now),
  ])
  // A piece that is away keeps nobody from the car, unless all that is left waits for it.
  const isUnder = ([operation, progress]: (typeof states)[number]) =>
    progress.kind === 'started' && operation.away !== 'piece'
  const first = goesOnWith(job, now)
  const under =
    states.find(isUnder) ?? states.find(([{ id }, { kind }]) => id === first?.id && kind === 'started')
  if (under) {
    const [operation, progress] = under
    const since = (progress as Extract<Progress, { kind: 'started' }>).at
    return { kind: operation.mode === 'unattended' ? 'waiting' : 'working', operation, since }
  }
  if (!first) return { kind: 'ready' }
  const begun = states.some(([, progress]) => progress.kind === 'done')
  return begun ? { kind: 'between', next: first } : { kind: 'planned', next: first }
}

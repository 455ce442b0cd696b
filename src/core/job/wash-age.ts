import type { OperationId } from '../ids'
import type { PlannedOperation } from '../offer/job-plan'
import { WASH_KEEPS_MINUTES } from '../offer/wash-keeps'
import { type Instant, minutesBetween } from '../time'
import { type LiveJob, progressAt } from './progress'

const AT_THE_MACHINE: readonly PlannedOperation['kind'][] = ['cut', 'refine', 'polish']
const COATING: readonly PlannedOperation['kind'][] = ['wipe', 'surface', 'layer']

/**
 * The step before which the car is to be washed again, and when it was washed last: before the paint is worked, and before it is coated, which
 * flushes the dust of polishing out of the gaps. Undefined while the wash is fresh, or once that work has begun.
 */
export function washTooOld(
  job: LiveJob,
  now: Instant,
): { before: OperationId; washedAt: Instant } | undefined {
  const steps = job.plan.operations.map((operation) => ({
    operation,
    progress: progressAt(job, operation, now),
  }))
  const washes = steps.filter(({ operation }) => operation.kind === 'wash')
  const ended = washes.flatMap(({ progress }) => (progress.kind === 'done' ? [progress.to] : []))
  const washedAt = ended.toSorted().at(-1)
  if (!washedAt || washes.some(({ progress }) => progress.kind !== 'done')) return undefined
  if (minutesBetween(washedAt, now) <= WASH_KEEPS_MINUTES) return undefined
  const next = steps.find(
    ({ operation: { kind }, progress }) =>
      progress.kind !== 'done' && (AT_THE_MACHINE.includes(kind) || COATING.includes(kind)),
  )
  if (next?.progress.kind !== 'open') return undefined
  const own = AT_THE_MACHINE.includes(next.operation.kind) ? AT_THE_MACHINE : COATING
  const hasBegun = steps.some(
    ({ operation: { kind }, progress }) => own.includes(kind) && progress.kind !== 'open',
  )
  return hasBegun ? undefined : { before: next.operation.id, washedAt }
}

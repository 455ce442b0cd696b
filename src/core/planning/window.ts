import { type LayerWindow, windowAfter } from '../coating'
import type { OperationId } from '../ids'
import { type LiveJob, progressAt } from '../job'
import type { JobLink, PlannedOperation } from '../offer/job-plan'
import type { Instant } from '../time'

/** The link that gives an operation its window: a wait after a layer that must be neither cut short nor drawn out. */
export function windowLink(
  job: Pick<LiveJob, 'plan'>,
  operation: OperationId,
): (JobLink & { max: number }) | undefined {
  return job.plan.links.find(
    (link): link is JobLink & { max: number } =>
      link.to === operation && link.min > 0 && link.max !== undefined,
  )
}

/** The window of a layer from the real end of the one before; undefined for other work, and until that end is known. */
export function openedWindow(
  job: LiveJob,
  operation: PlannedOperation,
  now: Instant,
): LayerWindow | undefined {
  const link = windowLink(job, operation.id)
  const before = link && job.plan.operations.find(({ id }) => id === link.from)
  const progress = before && progressAt(job, before, now)
  return link && progress?.kind === 'done' ? windowAfter(progress.to, link) : undefined
}

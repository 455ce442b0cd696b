import { type LiveJob, type Progress, progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { windowLink } from '@/core/planning'
import type { Region } from '@/core/region'
import { type Instant, minutesBetween } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import type { Leaflet } from '@/ui/frond'

function shareOf(operation: PlannedOperation, progress: Progress, now: Instant): number {
  if (progress.kind === 'done') return 1
  if (progress.kind === 'open') return 0
  return Math.min(0.9, Math.max(0.08, minutesBetween(progress.at, now) / operation.minutes))
}

/** A job's operations as leaflets of its frond, as far as they have come by `now`. */
export function leafletsOf(
  job: Pick<LiveJob, 'plan'> & Partial<LiveJob>,
  region: Region,
  now: Instant,
): Leaflet[] {
  const live = { id: '', arrive: now, weight: 1, progress: {}, published: [], ...job } as LiveJob
  return live.plan.operations.map((operation): Leaflet => {
    const window = windowLink(live, operation.id) !== undefined
    return {
      id: operation.id,
      title: stepTitle(region, operation.title),
      kind: operation.mode === 'unattended' ? 'hold' : 'work',
      minutes: operation.minutes,
      share: shareOf(operation, progressAt(live, operation, now), now),
      ...(window ? { window } : {}),
    }
  })
}

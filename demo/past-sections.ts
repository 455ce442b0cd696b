import type { Knex } from 'knex'
import { worklist } from '@/core/card'
import { stepMinutes } from '@/core/correction'
import type { Job } from '@/core/job'
import type { Offer } from '@/core/offer'
import type { PlacedOperation, Random } from '@/core/schedule'
import { type Instant, minutesBetween, plusMinutes } from '@/core/time'
import { panelsOf } from '@/core/vehicle'

/** The sections ticked at the car: each panel when its last one was done, so that hours can be learned panel by panel. */

/** Panels on which the hand of the demo shop is slower than the table: what is tight, what is overhead. */
const SLOW: Record<string, number> = { roof: 1.25, bonnet: 1.1 }
const bumper = (panel: string) => (panel.includes('bumper') || panel.includes('mirror') ? 1.35 : 1)

/** The minutes of a placed operation as one finds them on the clock, its segments one after another. */
function atWorkMinute(placed: PlacedOperation, minute: number): Instant {
  let left = minute
  for (const [from, to] of placed.segments) {
    const length = minutesBetween(from, to)
    if (left <= length) return plusMinutes(from, left)
    left -= length
  }
  return placed.end
}

export async function tickSections(
  db: Knex,
  job: Job,
  offer: Offer,
  lived: readonly PlacedOperation[],
  random: Random,
): Promise<void> {
  const panels = panelsOf(job.vehicle.shape)
  const work = Object.fromEntries(
    offer.correction.panels.map(({ judged, option }) => [judged.panel.id, option.method]),
  )
  for (const operation of offer.plan.operations) {
    const placed = lived.find((each) => each.operation === operation.id)
    if (!placed || !['cut', 'refine', 'polish'].includes(operation.kind)) continue
    const { tasks } = worklist(operation, panels, work, offer.template.care)
    const role = operation.kind === 'polish' ? 'single' : operation.kind
    const weights = tasks.map(({ panel }) => {
      const steps = work[panel]!.steps.filter((step) => step.role === role)
      const own = panels.find(({ id }) => id === panel)!
      const minutes = steps.reduce(
        (sum, step) => sum + stepMinutes(step, own, offer.template.care).minutes,
        0,
      )
      return minutes * (SLOW[panel] ?? 1) * bumper(panel) * (0.9 + 0.2 * random())
    })
    const [all, whole] = [
      weights.reduce((a, b) => a + b, 0),
      placed.segments.reduce((sum, [from, to]) => sum + minutesBetween(from, to), 0),
    ]
    let done = 0
    const rows = tasks.map(({ panel, sections }, at) => {
      done += weights[at]!
      const when = atWorkMinute(placed, (whole * done) / all)
      return {
        id: `past-${job.number}-${operation.id}-${panel}`,
        job_id: job.id,
        by_person: placed.people[0] ?? '',
        at: when,
        act: JSON.stringify({ kind: 'sections', operation: operation.id, panel, done: sections }),
        device: 'past',
        received_at: when,
        conflict: null,
      }
    })
    if (rows.length > 0) await db.batchInsert('acts', rows, 100)
  }
}

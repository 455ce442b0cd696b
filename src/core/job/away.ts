import type { AwayThing } from '../offer'
import type { PlannedOperation } from '../offer/job-plan'
import { type Instant, minutesBetween } from '../time'
import { type LiveJob, progressAt } from './progress'

/** What is at somebody else’s place, or goes there next: the car, or a piece that came off it. */
export type Away = {
  operation: PlannedOperation
  thing: AwayThing
  /** Absent: it is still here. */
  out?: { since: Instant; dueBack?: Instant }
  /** When the plan has it go and come back. */
  planned?: { out: Instant; back: Instant }
  /** It should be back and is not, or should have gone and has not. */
  late: boolean
}

/** What leaves so soon is worth a place on the yard, minutes: the working day ahead and the morning after. */
const SOON_MINUTES = 24 * 60

/** What is away for a job, and what leaves soon and can: whatever it waits for has been done. */
export function awayNow(job: LiveJob, now: Instant): Away[] {
  return job.plan.operations.flatMap((operation): Away[] => {
    const { away: thing, id } = operation
    if (!thing) return []
    const progress = progressAt(job, operation, now)
    const placed = job.published.find((each) => each.operation === id)
    const planned = placed ? { planned: { out: placed.start, back: placed.end } } : {}
    if (progress.kind === 'started') {
      const { at: since, dueBack } = progress
      const late = (dueBack ?? placed?.end ?? now) < now
      return [{ operation, thing, out: { since, ...(dueBack ? { dueBack } : {}) }, ...planned, late }]
    }
    if (progress.kind === 'done' || !placed || minutesBetween(now, placed.start) > SOON_MINUTES) return []
    const waits = job.plan.links.some(({ from, to }) => {
      const before = to === id && job.plan.operations.find((each) => each.id === from)
      return before && progressAt(job, before, now).kind !== 'done'
    })
    return waits ? [] : [{ operation, thing, ...planned, late: placed.start < now }]
  })
}

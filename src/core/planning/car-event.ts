import type { JobId, OperationId, PersonId } from '../ids'
import { type Awaited, hasBegun, progressAt } from '../job'
import { unreachable } from '../result'
import { type Instant, laterOf } from '../time'
import { backThen, type LateBack } from './events'
import type { Floor, FloorJob } from './floor'

/** What happens to one car: it comes at another time or not at all, is needed sooner, or waits for something that has not come. */
export type CarEvent =
  /** Something of it that is away comes back at another time than was said. */
  | ({ kind: 'back' } & LateBack)
  | { kind: 'comes'; job: JobId; at: Instant }
  | { kind: 'stays-away'; job: JobId }
  | { kind: 'urgent'; job: JobId; by: Instant }
  | { kind: 'part-missing'; job: JobId; operation: OperationId; by: PersonId; awaited: Awaited }

/** A car that is urgent counts as so many others when it is late (mem). */
const URGENT_WEIGHT = 10

/** The floor as it is after an event; nothing where that cannot be, as for a car that has come long since. */
export function floorAfter(floor: Floor, event: CarEvent): Floor | undefined {
  const entry = floor.jobs.find(({ job }) => job.id === event.job)
  const changed = entry && after(entry, event, floor.now)
  return changed && { ...floor, jobs: floor.jobs.map((each) => (each === entry ? changed : each)) }
}

function after(entry: FloorJob, event: CarEvent, now: Instant): FloorJob | undefined {
  const { live, job } = entry
  if (!live) return undefined
  switch (event.kind) {
    case 'back': {
      const back = backThen(live, event)
      return back && { ...entry, live: back }
    }
    case 'comes': {
      if (hasBegun(live)) return undefined
      const { putOffAt: _, ...coming } = job
      return { ...entry, job: { ...coming, arriveAt: event.at }, live: { ...live, arrive: event.at } }
    }
    case 'stays-away':
      return hasBegun(live) ? undefined : { ...entry, job: { ...job, putOffAt: now } }
    case 'urgent':
      return { ...entry, live: { ...live, due: event.by, weight: URGENT_WEIGHT } }
    case 'part-missing': {
      const step = live.plan.operations.find(({ id }) => id === event.operation)
      if (!step || progressAt(live, step, now).kind !== 'open') return undefined
      return { ...entry, live: { ...live, awaited: { ...live.awaited, [step.id]: event.awaited } } }
    }
    default:
      return unreachable(event)
  }
}

/**
 * What an urgent car is promised once its plan is taken: the time asked for where the plan keeps it; else when it can be fetched, as long as that
 * is sooner than what stands.
 */
export function promiseOfUrgent(stands: Instant, by: Instant, collectAt: Instant): Instant {
  const sooner = laterOf(by, collectAt)
  return sooner < stands ? sooner : stands
}

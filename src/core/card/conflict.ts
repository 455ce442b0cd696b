import { type LiveJob, progressAt } from '../job'
import { type Instant, minutesBetween } from '../time'
import type { Entry } from './act'
import { type CardState, pausedNow, workOn } from './state'

/** Why an act cannot be taken: somebody else was first, or the work is not that far. */
export type Conflict =
  | { code: 'step-gone' }
  | { code: 'begun-already'; by?: string; at: Instant }
  | { code: 'done-already'; by?: string; at: Instant }
  | { code: 'not-begun' }
  | { code: 'open-before'; titles: string[] }
  | { code: 'still-soft'; minutes: number }
  | { code: 'paused-already' }
  | { code: 'not-paused' }
  | { code: 'coat-missing' }
  | { code: 'timer-gone' }
  | { code: 'spot-gone' }
  | { code: 'process-forbidden'; why: string }
  /** It came in a shape this version does not know. */
  | { code: 'malformed'; what: string }

/** Tablets keep minutes, stores keep milliseconds: a wait that lacks less than this is over, minutes. */
const WAIT_TOLERANCE_MINUTES = 0.5

/** What speaks against an entry on the card as it stands; undefined where nothing does. */
export function conflictOf(live: LiveJob, card: CardState, entry: Entry): Conflict | undefined {
  const job = { ...live, progress: card.progress }
  const operation = job.plan.operations.find(({ id }) => id === entry.operation)
  if (!operation) return { code: 'step-gone' }
  const progress = progressAt(job, operation, entry.at)
  const work = workOn(card, entry.operation)
  switch (entry.kind) {
    case 'begin': {
      if (progress.kind === 'done') return taken('done-already', progress.to, progress.by)
      if (progress.kind === 'started') return taken('begun-already', progress.at, progress.by)
      return beforeIt(job, entry.operation, entry.at)
    }
    case 'done':
      if (progress.kind === 'done') return taken('done-already', progress.to, progress.by)
      if (progress.kind === 'open') return { code: 'not-begun' }
      return operation.kind === 'layer' && !entry.coat ? { code: 'coat-missing' } : undefined
    case 'pause':
      if (progress.kind !== 'started') return { code: 'not-begun' }
      return pausedNow(work) ? { code: 'paused-already' } : undefined
    case 'resume':
      return pausedNow(work) ? undefined : { code: 'not-paused' }
    case 'timer-off':
      return work.timers.some(({ id, off }) => id === entry.timer && !off)
        ? undefined
        : { code: 'timer-gone' }
    case 'high-spot':
      return progress.kind === 'open' ? { code: 'not-begun' } : undefined
    case 'high-spot-gone':
      return work.highSpots.some(({ id, gone }) => id === entry.spot && !gone)
        ? undefined
        : { code: 'spot-gone' }
    default:
      // What only adds to what is known never clashes: of two the later one stands.
      return undefined
  }
}

const taken = (code: 'begun-already' | 'done-already', at: Instant, by: string | undefined): Conflict =>
  by === undefined ? { code, at } : { code, at, by }

/** What must be done, or must have set, before an operation may begin. */
function beforeIt(job: LiveJob, operation: string, at: Instant): Conflict | undefined {
  const before = job.plan.links
    .filter(({ to }) => to === operation)
    .map(({ from, min }) => {
      const step = job.plan.operations.find(({ id }) => id === from)!
      return { step, min, progress: progressAt(job, step, at) }
    })
  const open = before.filter(({ progress }) => progress.kind !== 'done')
  if (open.length > 0) return { code: 'open-before', titles: open.map(({ step }) => step.title) }
  const soft = before.map(({ min, progress }) =>
    progress.kind === 'done' ? min - minutesBetween(progress.to, at) : 0,
  )
  const minutes = Math.max(0, ...soft)
  return minutes > WAIT_TOLERANCE_MINUTES ? { code: 'still-soft', minutes: Math.ceil(minutes) } : undefined
}

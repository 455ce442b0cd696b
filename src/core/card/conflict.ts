import type { ForbidId } from '../correction'
import type { OperationId, PersonId } from '../ids'
import { type LiveJob, type Progress, progressAt } from '../job'
import type { PlannedOperation, StepName } from '../offer'
import { followers } from '../offer/side-by-side'
import { isWheelsOn } from '../offer/wheels-on'
import { type Instant, minutesBetween, plusMinutes } from '../time'
import type { CoatLog, CoatStage, Entry } from './act'
import { coatAt } from './coat-sections'
import { noteWaitsFor } from './notes'
import { isMissing, type PartPlace, partsOff } from './parts'
import { type CardState, pausedNow, type StepWork, workOn } from './state'

/** Why an act cannot be taken: somebody else was first, or the work is not that far. */
export type Conflict =
  | { code: 'step-gone' }
  | { code: 'begun-already'; by?: PersonId; at: Instant }
  | { code: 'done-already'; by?: PersonId; at: Instant }
  | { code: 'not-begun' }
  | { code: 'open-before'; titles: StepName[] }
  | { code: 'still-soft'; minutes: number }
  /** The layer before has set too far; to be begun only with a reason that is kept. */
  | { code: 'window-closed'; at: Instant }
  | { code: 'paused-already' }
  | { code: 'not-paused' }
  | { code: 'coat-missing' }
  | { code: 'timer-gone' }
  | { code: 'spot-gone' }
  /** It was answered or read by somebody before, or there is no such note. */
  | { code: 'note-over' }
  /** Somebody else has levelled or checked this section before. */
  | { code: 'section-already'; stage: CoatStage; by: PersonId; at: Instant }
  /** What is said to be back lies in the past. */
  | { code: 'due-past' }
  /** Nobody wrote down such a part. */
  | { code: 'part-gone' }
  | { code: 'part-there-already'; name: string; place: PartPlace }
  /** What came off the car is not back: `away`, not even in the shop. */
  | { code: 'parts-off'; names: string[]; away: boolean }
  /** What was ordered for the step has not come. */
  | { code: 'order-open'; what: string; due: Instant }
  /** Nothing was ordered for it, or it has come already. */
  | { code: 'order-none' }
  /** Wheel nuts: to how many Nm, with which wrench. */
  | { code: 'torque-missing' }
  /** Another step has been begun on what is to be taken back. */
  | { code: 'stood-upon'; title: StepName }
  /** A step recorded afterwards ends before it begins, or has not ended yet. */
  | { code: 'times-crossed' }
  | { code: 'ahead' }
  /** The step before it had not ended by then. */
  | { code: 'too-early'; title: StepName; at: Instant }
  /** Its method was changed and costs more: this shop works it only with the customer's yes. */
  | { code: 'panel-waits'; panel: string }
  /** Absent where the shop does not know the process. */
  | { code: 'process-forbidden'; rule?: ForbidId }
  /** Nobody of this name works here, no such panel or bottle: what was sent does not fit this car or shop. */
  | { code: 'unknown'; what: 'person' | 'panel' | 'bottle' | 'product' | 'job' }
  | { code: 'other-bottle' }
  /** Its day is over: what is left of it goes on wheels and trim, never on paint. */
  | { code: 'past-on-paint' }
  /** Something speaks against it: it is taken only with a reason, which is kept. */
  | { code: 'needs-reason'; doubts: Doubt[] }
  /** By its time it was before the car came, or longer ago than anybody remembers. */
  | { code: 'odd-time'; at: Instant }
  /** It came in a shape this version does not know. */
  | { code: 'malformed'; what: string }

/** What speaks against a coat as it was logged. */
export type Doubt = 'other-product' | 'bottle-short' | 'bottle-past' | 'air-outside'

/** Tablets keep minutes, stores keep milliseconds: a wait that lacks less than this is over, minutes. */
const WAIT_TOLERANCE_MINUTES = 0.5
/** Clocks of tablets run a little ahead; more than this is a mistake. */
const AHEAD_MINUTES = 5

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
      return (
        beforeIt(job, entry.operation, entry.at) ?? windowOf(job, entry) ?? awayOf(card, operation, entry)
      )
    }
    case 'done':
      if (progress.kind === 'done') return taken('done-already', progress.to, progress.by)
      if (progress.kind === 'open') return { code: 'not-begun' }
      return endOf(card, operation, entry.coat)
    case 'record':
      if (progress.kind === 'done') return taken('done-already', progress.to, progress.by)
      return endOf(card, operation, entry.coat) ?? recorded(job, entry)
    case 'undo':
      return undone(job, card, entry)
    case 'pause':
      if (progress.kind !== 'started') return { code: 'not-begun' }
      return pausedNow(work) ? { code: 'paused-already' } : undefined
    case 'resume':
      return pausedNow(work) ? undefined : { code: 'not-paused' }
    case 'timer-off':
      return work.timers.some(({ id, off }) => id === entry.timer && !off)
        ? undefined
        : { code: 'timer-gone' }
    case 'coat':
      return sectionTaken(work, entry)
    case 'order':
      return entry.due <= entry.at ? { code: 'due-past' } : undefined
    case 'order-here':
      return work.order && !work.order.here ? undefined : { code: 'order-none' }
    case 'due-back':
      if (progress.kind !== 'started') return { code: 'not-begun' }
      return entry.dueBack <= entry.at ? { code: 'due-past' } : undefined
    case 'part-to': {
      const part = card.parts.find(({ id }) => id === entry.part)
      if (!part) return { code: 'part-gone' }
      const isThere = part.now.place === entry.place && entry.place !== 'sent'
      return isThere ? { code: 'part-there-already', name: part.name, place: entry.place } : undefined
    }
    case 'note-answer':
      return waiting(work, entry.note) === 'answer' ? undefined : { code: 'note-over' }
    case 'note-read':
      return waiting(work, entry.note) ? undefined : { code: 'note-over' }
    case 'high-spot':
      return progress.kind === 'open' ? { code: 'not-begun' } : undefined
    case 'high-spot-off':
    case 'high-spot-gone':
      return work.highSpots.some(({ id, gone }) => id === entry.spot && !gone)
        ? undefined
        : { code: 'spot-gone' }
    default:
      // What only adds to what is known never clashes: of two the later one stands.
      return undefined
  }
}

/** Whatever leaves comes back later than it goes; and nothing is refitted that is not here. */
function awayOf(
  card: CardState,
  { id, kind }: PlannedOperation,
  { dueBack, at }: Extract<Entry, { kind: 'begin' }>,
): Conflict | undefined {
  if (dueBack && dueBack <= at) return { code: 'due-past' }
  const { order } = workOn(card, id)
  if (order && !order.here) return { code: 'order-open', what: order.what, due: order.due }
  const missing = kind === 'finish' ? card.parts.filter(isMissing) : []
  return missing.length > 0
    ? { code: 'parts-off', names: missing.map(({ name }) => name), away: true }
    : undefined
}

/** What is still missing before a step can be said to be over. */
function endOf(
  card: CardState,
  { id, kind, title }: PlannedOperation,
  coat: CoatLog | undefined,
): Conflict | undefined {
  if (kind === 'layer' && !coat) return { code: 'coat-missing' }
  if (isWheelsOn({ title }) && !workOn(card, id).torque) return { code: 'torque-missing' }
  const off = kind === 'finish' ? partsOff(card.parts) : []
  return off.length > 0
    ? { code: 'parts-off', names: off.map(({ name }) => name), away: off.some(isMissing) }
    : undefined
}

/** A section that somebody else has levelled or checked is not levelled once more. */
function sectionTaken(work: StepWork, entry: Extract<Entry, { kind: 'coat' }>): Conflict | undefined {
  const { panel, section, stage } = entry
  const known = section === undefined ? undefined : coatAt(work, panel, section)
  const isTaken = known?.stage === stage && known.by !== entry.by && stage !== 'bare'
  return isTaken ? { code: 'section-already', stage, by: known.by, at: known.at } : undefined
}

const waiting = ({ notes }: Pick<StepWork, 'notes'>, id: string) => {
  const note = notes.find((each) => each.id === id)
  return note && noteWaitsFor(note)
}

const taken = (code: 'begun-already' | 'done-already', at: Instant, by: PersonId | undefined): Conflict =>
  by === undefined ? { code, at } : { code, at, by }

/** What comes right before an operation, with how far it was at a moment. */
function stepsBefore(job: LiveJob, operation: OperationId, at: Instant) {
  return job.plan.links
    .filter(({ to }) => to === operation)
    .map(({ from, min, max }) => {
      const step = job.plan.operations.find(({ id }) => id === from)!
      return { step, min, max, progress: progressAt(job, step, at) }
    })
}

/** What must be done, or must have set, before an operation may begin. */
function beforeIt(job: LiveJob, operation: OperationId, at: Instant): Conflict | undefined {
  const before = stepsBefore(job, operation, at)
  const open = before.filter(({ progress }) => progress.kind !== 'done')
  if (open.length > 0) return { code: 'open-before', titles: open.map(({ step }) => step.title) }
  const soft = before.map(({ min, progress }) =>
    progress.kind === 'done' ? min - minutesBetween(progress.to, at) : 0,
  )
  const minutes = Math.max(0, ...soft)
  return minutes > WAIT_TOLERANCE_MINUTES ? { code: 'still-soft', minutes: Math.ceil(minutes) } : undefined
}

/** Whether the window of a layer has closed by the time it is begun, and nobody has said why it is begun all the same. */
function windowOf(
  job: LiveJob,
  { operation, at, despite }: Pick<Extract<Entry, { kind: 'begin' }>, 'operation' | 'at' | 'despite'>,
): Conflict | undefined {
  if (despite) return undefined
  const closed = stepsBefore(job, operation, at).flatMap(({ min, max, progress }) =>
    max === undefined || min === 0 || progress.kind !== 'done' ? [] : [plusMinutes(progress.to, max)],
  )
  const passed = closed.find((end) => minutesBetween(end, at) > WAIT_TOLERANCE_MINUTES)
  return passed ? { code: 'window-closed', at: passed } : undefined
}

/** A step recorded afterwards stands at its own times: the rules hold for those. */
function recorded(job: LiveJob, entry: Extract<Entry, { kind: 'record' }>): Conflict | undefined {
  const { operation, from, to, at } = entry
  if (to < from) return { code: 'times-crossed' }
  if (minutesBetween(at, to) > AHEAD_MINUTES) return { code: 'ahead' }
  const early = stepsBefore(job, operation, at).flatMap(({ step, progress }) =>
    progress.kind === 'done' && from < progress.to ? [{ title: step.title, at: progress.to }] : [],
  )
  if (early[0]) return { code: 'too-early', ...early[0] }
  const { despite } = entry
  const asBegun = { operation, at: from, ...(despite ? { despite } : {}) }
  return beforeIt(job, operation, from) ?? windowOf(job, asBegun)
}

/** Only what nothing stands upon yet can be taken back. */
function undone(job: LiveJob, card: CardState, { operation }: Entry): Conflict | undefined {
  const known: Progress | undefined = card.progress[operation]
  if (!known || known.kind === 'open') return { code: 'not-begun' }
  const after = followers(job.plan).get(operation) ?? new Set()
  const later = job.plan.operations.find(
    ({ id }) => after.has(id) && (card.progress[id]?.kind ?? 'open') !== 'open',
  )
  return later ? { code: 'stood-upon', title: later.title } : undefined
}

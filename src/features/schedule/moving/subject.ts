import type { BayId, JobId, OperationId, PersonId } from '@/core/ids'
import { type Instant, plusMinutes } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import type { Move } from '@/workers/mover'
import type { Block, StayBlock } from '../blocks'
import type { BoardRow, BoardView } from '../board-view'
import type { Timeline } from '../timeline'

/** What is taken in hand on the calendar, and where it is held over. */

/** One step, or a stay with all that follows it. */
export type Subject =
  | { kind: 'operation'; job: JobId; operation: OperationId }
  | { kind: 'stay'; job: JobId; stay: string }

/** Where it is wished: from when, and where or by whom if that is to change. */
export type Wish = { start: Instant; place?: BayId; person?: PersonId }

export const SLOT_MINUTES = 15

export const sameSubject = (a: Subject | undefined, b: Subject): boolean =>
  a !== undefined && JSON.stringify(a) === JSON.stringify(b)

/** The stay that a subject is, or lies in. */
export function stayOf(view: BoardView, subject: Subject): StayBlock | undefined {
  return view.stays.find(
    ({ jobId, stayId, blocks }) =>
      jobId === subject.job &&
      (subject.kind === 'stay'
        ? stayId === subject.stay
        : blocks.some(({ operation }) => operation.id === subject.operation)),
  )
}

export function blockOf(view: BoardView, subject: Subject): Block | undefined {
  const stay = stayOf(view, subject)
  return subject.kind === 'operation'
    ? stay?.blocks.find(({ operation }) => operation.id === subject.operation)
    : stay?.blocks.find(({ state }) => state === 'open')
}

/** When a subject begins, as far as it can still be moved; undefined where all of it has begun. */
export function startOf(view: BoardView, subject: Subject): Instant | undefined {
  const block = blockOf(view, subject)
  return block?.state === 'open' ? block.start : undefined
}

export function titleOf(view: BoardView, subject: Subject): string {
  const stay = stayOf(view, subject)
  const block = blockOf(view, subject)
  const { region } = view.timeline
  if (subject.kind === 'operation') return block ? stepTitle(region, block.operation.title) : ''
  return stay && block && stay.blocks[0] !== block
    ? `All from ${stepTitle(region, block.operation.title)} on`
    : 'All from here on'
}

export function moveOf(subject: Subject, { start, place, person }: Wish): Move {
  const where = place === undefined ? {} : { place }
  return subject.kind === 'stay'
    ? { kind: 'stay', job: subject.job, stay: subject.stay, from: start, ...where }
    : {
        kind: 'operation',
        job: subject.job,
        operation: subject.operation,
        start,
        ...where,
        ...(person === undefined ? {} : { person }),
      }
}

/** A start so many pixels later, on the quarter of an hour. */
export function draggedTo(timeline: Timeline, start: Instant, dx: number): Instant {
  const minutes = (dx / timeline.pxPerHour) * 60
  return plusMinutes(start, Math.round(minutes / SLOT_MINUTES) * SLOT_MINUTES)
}

/** The wish of holding a subject over a row: another bay, another person, or neither. */
export function wishOver(
  block: Block,
  row: BoardRow | undefined,
  subject: Subject,
): Pick<Wish, 'place' | 'person'> {
  if (!row) return {}
  if (row.kind === 'place') return row.id === block.place ? {} : { place: row.id }
  if (subject.kind === 'stay' || block.people.includes(row.id) || block.operation.people === 0) return {}
  return { person: row.id }
}

import type { OperationId, PersonId } from '../ids'
import type { Instant } from '../time'
import type { CardState } from './state'

/** For whom a note is: whoever goes on with the step, or the office, from whom an answer is wanted. */
export const NOTE_TO = ['next', 'office'] as const
export type NoteTo = (typeof NOTE_TO)[number]

/** Words from one to another on a step of a card. */
export type Note = {
  id: string
  to: NoteTo
  text: string
  by: PersonId
  at: Instant
  answer?: { text: string; by: PersonId; at: Instant }
  /** Somebody at the car has read it, or its answer. */
  read?: Instant
}

/** What a note waits for; undefined once it was read to its end. */
export function noteWaitsFor({ to, answer, read }: Note): 'answer' | 'reader' | undefined {
  if (to === 'office' && !answer) return 'answer'
  return read === undefined ? 'reader' : undefined
}

/** All notes of a card that wait for somebody, with the step each is on. */
export const openNotes = ({ work }: Pick<CardState, 'work'>): { operation: OperationId; note: Note }[] =>
  Object.entries(work).flatMap(([operation, { notes }]) =>
    notes
      .filter((note) => noteWaitsFor(note) !== undefined)
      .map((note) => ({ operation: operation as OperationId, note })),
  )

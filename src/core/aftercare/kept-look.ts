import type { Instant, LocalDay } from '../time'
import type { Cause, Look } from './look'

/** A look at one panel as it is kept: what was seen, what did it, by whom. */
export type KeptLook = Pick<Look, 'unit' | 'water' | 'angleDegrees' | 'feel' | 'cleaned'> & {
  cause?: Cause
  note: string
  by: string
  at: Instant
}

/** A visit the owner asked for. */
export type VisitWish = { id: string; fromDay: LocalDay; words: string; askedAt: Instant }

import type { LaidProduct, OtherSurface } from '../coating'
import type { JobId } from '../ids'
import type { Instant, LocalDay } from '../time'

/** What a coat lies on: the whole paint, some panels of it, or another surface. */
export type CoatedPart =
  | { kind: 'paint'; panels?: readonly string[] }
  | { kind: 'surface'; surface: OtherSurface }

/** A coat that was really applied on a vehicle. */
export type Coat = {
  jobId: JobId
  product: LaidProduct
  lot: string
  endedAt: Instant
  part: CoatedPart
  /** Which rework of its job applied it, from 1: what lay there before was polished off for it. */
  rework?: number
  /** Applied elsewhere: the day on which the car went home from there. */
  homeOn?: LocalDay
}

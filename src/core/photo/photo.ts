import { z } from 'zod'
import { ask } from '../asks'
import type { JobId } from '../ids'
import { DEFECT_KINDS, type Phase, PLACE_DEFECT_KINDS } from '../survey'
import type { Instant } from '../time'

export type Mark = z.infer<typeof markSchema>

export type Photo = {
  id: string
  jobId: JobId
  place: string
  phase: Phase
  hash: string
  width: number
  height: number
  marks: Mark[]
  /** The mark of its place that it shows; of all of the place where nothing is said. */
  shows?: Shown
  /** The photograph before the work that this one repeats. */
  samePlaceAs?: string
  takenAt: Instant
  version: number
}

/** What a photograph may show: a mark of paint, or of anything else. */
export const shownSchema = z.enum([...DEFECT_KINDS, ...PLACE_DEFECT_KINDS], ask('no-such-mark'))
export type Shown = z.infer<typeof shownSchema>

/** A photograph, with what that is called which it shows, where it came off the car. */
export type NamedPhoto = Photo & { name?: string }

const share = z.number().min(0).max(1)

export const markSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('circle'), x: share, y: share, r: share }),
  z.object({ kind: z.literal('arrow'), fromX: share, fromY: share, toX: share, toY: share }),
])

export const marksSchema = z.array(markSchema).max(40, ask('photo-marks-enough'))

import { z } from 'zod'
import { ask } from '../asks'
import type { JobId } from '../ids'
import type { Phase } from '../survey'
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
  /** The photograph before the work that this one repeats. */
  samePlaceAs?: string
  takenAt: Instant
  version: number
}

const share = z.number().min(0).max(1)

export const markSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('circle'), x: share, y: share, r: share }),
  z.object({ kind: z.literal('arrow'), fromX: share, fromY: share, toX: share, toY: share }),
])

export const marksSchema = z.array(markSchema).max(40, ask('photo-marks-enough'))

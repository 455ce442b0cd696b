import { z } from 'zod'
import { type Instant, instantOrThrow } from '../time'

/** When a car can be fetched, and the chance, 0–1, that it is ready by then. */
export type Collecting = { at: Instant; chance: number }

/** As they are kept: the time that is promised, and where it is another, one that is surer. */
export const collectingSchema = z.array(
  z.object({
    at: z.string().transform((at): Instant => instantOrThrow(at)),
    chance: z.number().min(0).max(1),
  }),
)

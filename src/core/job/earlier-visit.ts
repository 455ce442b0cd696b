import type { JobId } from '../ids'
import type { Measured } from '../survey'
import type { Instant, LocalDay } from '../time'

/** An earlier visit of the same vehicle, with what was measured then. */
export type EarlierVisit = { jobId: JobId; day: LocalDay; at: Instant; before: Measured; after: Measured }

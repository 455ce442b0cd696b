import type { JobId, OperationId } from '../ids'
import type { Awaited, Away } from '../job'
import type { Instant } from '../time'

/** Something of a car that is away or leaves soon, as the yard shows it; with when it was first said to be back, and what they said since. */
export type AwayThere = Away & { jobId: JobId; plate: string; firstSaid?: Instant; note?: string }

/** Something ordered for a step of a car, as the yard shows it. */
export type AwaitedThere = Awaited & { jobId: JobId; plate: string; operation: OperationId }

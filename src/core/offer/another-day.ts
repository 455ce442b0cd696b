import type { Instant, LocalDay } from '../time'
import type { Choices } from './choices'

/** When a car was to come, and by when it is wanted. */
export type Coming = { arriveAt: Instant; wantedBy?: LocalDay }

/** Whether choices bring the car at another time, or want it back by another day, than it was taken down. */
export const isOtherDay = (
  { comesAt, wantedBy }: Pick<Choices, 'comesAt' | 'wantedBy'>,
  job: Coming,
): boolean =>
  (comesAt !== undefined && comesAt !== job.arriveAt) || (wantedBy !== undefined && wantedBy !== job.wantedBy)

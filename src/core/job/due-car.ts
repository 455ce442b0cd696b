import type { CareDates, DueState } from '../aftercare'
import type { Customer } from '../customer'
import type { JobId } from '../ids'
import type { Instant } from '../time'
import type { Vehicle } from '../vehicle'
import type { JobKind } from './job'

export type DueCar = {
  vehicle: Vehicle
  customer: Customer
  dates: CareDates
  state: DueState
  /** A stay that is booked or under way. */
  booked?: { jobId: JobId; kind: JobKind; arriveAt: Instant }
  asked: boolean
}

export const DUE_FILTERS = ['now', 'soon', 'booked', 'gone', 'lapsed', 'all'] as const

export type DueFilter = (typeof DUE_FILTERS)[number]

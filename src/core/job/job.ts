import type { Customer } from '../customer'
import type { JobId } from '../ids'
import type { Instant, LocalDay } from '../time'
import type { Purpose, Vehicle } from '../vehicle'

/** What a vehicle comes for: the work it was taken in for, a look at its coating, or panels to be coated again. */
export const JOB_KINDS = ['work', 'visit', 'repair'] as const

export type JobKind = (typeof JOB_KINDS)[number]

/**
 * What was agreed rests on the inspection before it, which is closed by that. A visit is booked before anybody has looked, and a
 * repair rests on the visit that found it: what is seen and read there is their own.
 */
export const agreementCloses = (kind: JobKind): boolean => kind === 'work'

/** One stay of one vehicle. */
export type Job = {
  id: JobId
  number: number
  kind: JobKind
  /** The visit at which a repair was found to be needed. */
  fromJobId?: JobId
  onGuarantee: boolean
  customer: Customer
  vehicle: Vehicle
  purpose: Purpose
  wishes: string
  budgetCents?: number
  odometerKm?: number
  fuelPercent?: number
  keys: string
  belongings: string
  warnings: string
  arriveAt: Instant
  wantedBy?: LocalDay
  /** Since when it is off the calendar, for it did not come, and nobody knows when it will. */
  putOffAt?: Instant
  handedOverAt?: Instant
}

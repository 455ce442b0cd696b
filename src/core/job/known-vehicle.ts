import type { Customer } from '../customer'
import type { Vehicle } from '../vehicle'

/** A vehicle the shop has had before, with its owner and how often it was here. */
export type KnownVehicle = {
  customer: Customer
  vehicle: Vehicle
  visits: number
  /** Nobody here looks after it any more; it is in no list. */
  isPutAway?: true
}

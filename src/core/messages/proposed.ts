import type { Customer } from '../customer'
import type { VehicleId } from '../ids'
import type { Vehicle } from '../vehicle'
import type { DueMessage } from './due'
import type { Occasion } from './occasion'
import type { Route } from './sending'

export type Proposed = {
  due: DueMessage
  customer: Customer
  vehicle: Vehicle
  route: Route
}

/** A proposal as it is shown: to whom, by which way, and what it would say. */
export type ProposalView = {
  key: string
  occasion: Occasion
  vehicleId: VehicleId
  plate: string
  name: string
  way: string
  held?: string
  subject: string
  text: string
}

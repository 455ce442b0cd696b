import type { Customer } from '../customer'
import type { Vehicle } from '../vehicle'
import type { DueMessage, Route } from './'

export type Proposed = {
  due: DueMessage
  customer: Customer
  vehicle: Vehicle
  route: Route
}

import type { Milestone } from '../aftercare'
import type { ToShow } from '../lamp'
import type { Photo } from '../photo'
import type { KnownVehicle } from './known-vehicle'
import type { VehicleCare } from './vehicle-care'

/** What an owner sees of their own car, and nothing beside it: no former owner’s stays, no money, no notes of the shop. */
export type OwnerPage = {
  known: KnownVehicle
  care: VehicleCare
  /** Dates of a fresh coating that are still to come. */
  milestones: Milestone[]
  /** Photographs of a place before and after. */
  pairs: { before: Photo; after: Photo }[]
  /** A panel to draw under a lamp, as it came and as the work was expected to leave it. */
  lamp?: ToShow
}

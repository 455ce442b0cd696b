import type { Knex } from 'knex'
import type { PrivateLink } from '@/core/handover'
import type { CustomerId, VehicleId } from '@/core/ids'
import type { Instant } from '@/core/time'
import { listLinks, makeLink, opened, revokeLink } from './private-links'

/** Links to the page of one vehicle for its owner. */

/** Makes a link for whoever owns the vehicle now. Returns what goes into the address; undefined without such a vehicle. */
export async function makeOwnerLink(
  db: Knex,
  vehicleId: VehicleId,
  madeAt: Instant,
  expiresAt: Instant,
): Promise<string | undefined> {
  const vehicle = await db('vehicles').where({ id: vehicleId }).first('customer_id')
  if (!vehicle) return undefined
  const opens = { vehicle_id: vehicleId, customer_id: vehicle.customer_id }
  return makeLink(db, 'owner_links', opens, { madeAt, expiresAt })
}

export const listOwnerLinks = (db: Knex, vehicleId: VehicleId): Promise<PrivateLink[]> =>
  listLinks(db, 'owner_links', { vehicle_id: vehicleId })

export const revokeOwnerLink = (db: Knex, hash: string, at: Instant): Promise<void> =>
  revokeLink(db, 'owner_links', hash, at)

export type OwnedVehicle = { vehicleId: VehicleId; customerId: CustomerId }

/** What a link opens now: nothing once it has run out or was taken back, and nothing after the car was sold. */
export async function vehicleOfLink(
  db: Knex,
  token: string,
  now: Instant,
): Promise<OwnedVehicle | undefined> {
  const row = await opened(db, 'owner_links', token, now)
    .join('vehicles', 'vehicles.id', 'owner_links.vehicle_id')
    .whereRaw('vehicles.customer_id = owner_links.customer_id')
    .first('owner_links.vehicle_id', 'owner_links.customer_id')
  return row && { vehicleId: row.vehicle_id, customerId: row.customer_id }
}

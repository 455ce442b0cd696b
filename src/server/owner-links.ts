import { createHash, randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import type { Instant } from '@/core/time'

/** Links to the page of one vehicle for its owner. Only their hash is kept, so the database gives none away. */

export type OwnerLink = { hash: string; madeAt: Instant; expiresAt: Instant; revokedAt?: Instant }

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/** Makes a link for whoever owns the vehicle now. Returns what goes into the address. */
export async function makeOwnerLink(
  db: Knex,
  vehicleId: string,
  madeAt: Instant,
  expiresAt: Instant,
): Promise<string | undefined> {
  const vehicle = await db('vehicles').where({ id: vehicleId }).first('customer_id')
  if (!vehicle) return undefined
  const token = randomBytes(18).toString('base64url')
  await db('owner_links').insert({
    token_hash: hashOf(token),
    vehicle_id: vehicleId,
    customer_id: vehicle.customer_id,
    made_at: madeAt,
    expires_at: expiresAt,
  })
  return token
}

export async function listOwnerLinks(db: Knex, vehicleId: string): Promise<OwnerLink[]> {
  const rows = await db('owner_links').where({ vehicle_id: vehicleId }).orderBy('made_at', 'desc')
  return rows.map((row) => ({
    hash: row.token_hash,
    madeAt: row.made_at,
    expiresAt: row.expires_at,
    ...(row.revoked_at ? { revokedAt: row.revoked_at } : {}),
  }))
}

export async function revokeOwnerLink(db: Knex, hash: string, at: Instant): Promise<void> {
  await db('owner_links').where({ token_hash: hash }).whereNull('revoked_at').update({ revoked_at: at })
}

export type OwnedVehicle = { vehicleId: string; customerId: string }

/** What a link opens now: nothing once it has run out or was taken back, and nothing after the car was sold. */
export async function vehicleOfLink(
  db: Knex,
  token: string,
  now: Instant,
): Promise<OwnedVehicle | undefined> {
  const row = await db('owner_links')
    .join('vehicles', 'vehicles.id', 'owner_links.vehicle_id')
    .where({ token_hash: hashOf(token) })
    .whereNull('revoked_at')
    .where('expires_at', '>', now)
    .whereRaw('vehicles.customer_id = owner_links.customer_id')
    .first('owner_links.vehicle_id', 'owner_links.customer_id')
  return row && { vehicleId: row.vehicle_id, customerId: row.customer_id }
}

import type { Knex } from 'knex'
import { isAhead, type Milestone } from '@/core/aftercare'
import type { OwnerPage } from '@/core/job'
import type { Photo } from '@/core/photo'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { type OwnedVehicle, vehicleOfLink } from '../links/owner-links'
import { photosOfVehicle } from '../photos/photo-store'
import { loadVehicleCare } from '../vehicles/vehicle-care'
import { findKnown } from '../vehicles/vehicle-store'
import { loadCare } from './care'

/** Stays of this vehicle under this owner. */
async function ownStays(db: Knex, { vehicleId, customerId }: OwnedVehicle): Promise<string[]> {
  return (await db('jobs').where({ vehicle_id: vehicleId, customer_id: customerId }).pluck('id')) as string[]
}

function pairsOf(photos: readonly Photo[]): OwnerPage['pairs'] {
  return photos.flatMap((after) => {
    const before = photos.find(({ id }) => id === after.samePlaceAs)
    return after.phase === 'after' && before ? [{ before, after }] : []
  })
}

async function pairsFor(db: Knex, owned: OwnedVehicle): Promise<OwnerPage['pairs']> {
  const stays = new Set(await ownStays(db, owned))
  return pairsOf((await photosOfVehicle(db, owned.vehicleId)).filter(({ jobId }) => stays.has(jobId)))
}

async function comingMilestones(
  db: Knex,
  shop: Shop,
  owned: OwnedVehicle,
  now: Instant,
): Promise<Milestone[]> {
  const last = await db('jobs')
    .where({ vehicle_id: owned.vehicleId, customer_id: owned.customerId })
    .whereNotNull('handed_over_at')
    .whereNot('kind', 'visit')
    .orderBy('handed_over_at', 'desc')
    .first('id')
  if (!last) return []
  const { milestones } = await loadCare(db, shop, last.id)
  const { timezone } = shop.setup.region
  return milestones.filter(
    (milestone) => milestone.key !== 'first-visit' && isAhead(milestone, now, timezone),
  )
}

export async function loadOwnerPage(
  db: Knex,
  shop: Shop,
  token: string,
  now: Instant,
): Promise<OwnerPage | undefined> {
  const owned = await vehicleOfLink(db, token, now)
  const known = owned && (await findKnown(db, owned.vehicleId))
  if (!owned || !known) return undefined
  return {
    known,
    care: await loadVehicleCare(db, shop, known.vehicle, now),
    milestones: await comingMilestones(db, shop, owned, now),
    pairs: await pairsFor(db, owned),
  }
}

/** Whether a link may show a photograph: only those that stand on its page. */
export async function mayShowPhoto(db: Knex, token: string, hash: string, now: Instant): Promise<boolean> {
  const owned = await vehicleOfLink(db, token, now)
  if (!owned) return false
  const pairs = await pairsFor(db, owned)
  return pairs.some(({ before, after }) => before.hash === hash || after.hash === hash)
}

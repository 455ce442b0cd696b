import type { Knex } from 'knex'
import { isAhead, type Milestone } from '@/core/aftercare'
import type { JobId } from '@/core/ids'
import type { OwnerPage } from '@/core/job'
import { panelToShow, type ToShow } from '@/core/lamp'
import type { Photo } from '@/core/photo'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { type OwnedVehicle, vehicleOfLink } from '../links/owner-links'
import { photosOfVehicle } from '../photos/photo-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadSurvey } from '../survey/survey-store'
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

/** The last work that was handed over to this owner. */
async function lastWork(db: Knex, owned: OwnedVehicle): Promise<JobId | undefined> {
  const last = await db('jobs')
    .where({ vehicle_id: owned.vehicleId, customer_id: owned.customerId })
    .whereNotNull('handed_over_at')
    .whereNot('kind', 'visit')
    .orderBy('handed_over_at', 'desc')
    .first('id')
  return last?.id
}

/** The panel to draw: of the work in the house where there is some, else of the last. */
async function lampOf(db: Knex, owned: OwnedVehicle, plate: string): Promise<ToShow | undefined> {
  const open = await db('jobs')
    .where({ vehicle_id: owned.vehicleId, customer_id: owned.customerId, kind: 'work' })
    .whereNull('handed_over_at')
    .first('id')
  const job = open?.id ?? (await lastWork(db, owned))
  const agreement = job && (await findAgreement(db, job))
  if (!job || !agreement) return undefined
  const { defects } = await loadSurvey(db, job)
  return panelToShow(agreement.summary, defects, plate)
}

async function comingMilestones(
  db: Knex,
  shop: Shop,
  job: JobId | undefined,
  now: Instant,
): Promise<Milestone[]> {
  if (!job) return []
  const { milestones } = await loadCare(db, shop, job, now)
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
  const lamp = await lampOf(db, owned, known.vehicle.plate)
  return {
    known,
    care: await loadVehicleCare(db, shop, known.vehicle, now),
    milestones: await comingMilestones(db, shop, await lastWork(db, owned), now),
    pairs: await pairsFor(db, owned),
    ...(lamp ? { lamp } : {}),
  }
}

/** Whether a link may show a photograph: only those that stand on its page. */
export async function mayShowPhoto(db: Knex, token: string, hash: string, now: Instant): Promise<boolean> {
  const owned = await vehicleOfLink(db, token, now)
  if (!owned) return false
  const pairs = await pairsFor(db, owned)
  return pairs.some(({ before, after }) => before.hash === hash || after.hash === hash)
}

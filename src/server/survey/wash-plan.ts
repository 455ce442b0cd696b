import type { Knex } from 'knex'
import { isCoating } from '@/core/coating'
import { FRESH_DAYS } from '@/core/correction'
import type { Job } from '@/core/job'
import type { Shop } from '@/core/shop'
import { dayIn, daysBetween } from '@/core/time'
import { panelsOfVehicle, placesOf, singleStagePanels } from '@/core/vehicle'
import { type PlannedStep, planWash, type WashInput } from '@/core/wash'
import { loadCoats } from '../aftercare/coats'
import { loadSurvey } from './survey-store'
import { loadWash } from './wash-store'

/** What of a car, beside its dirt, decides on the wash. */
export type WashedCar = Pick<
  WashInput,
  'softTop' | 'bakedWheels' | 'strips' | 'coated' | 'fresh' | 'areaM2' | 'singleStage'
>

export async function washedCar(db: Knex, job: Job, shop: Shop): Promise<WashedCar> {
  const { places } = await loadSurvey(db, job.id)
  const { vehicle } = job
  // What comes for work is polished or coated; what comes to be looked at keeps what lies on it.
  const strips = job.kind === 'work'
  const coats = strips ? [] : await loadCoats(db, shop, vehicle.id)
  const day = dayIn(shop.setup.region.timezone, job.arriveAt)
  return {
    softTop: placesOf(vehicle.shape).some(({ surface }) => surface === 'fabric'),
    bakedWheels: Object.values(places).some((defects) => defects.some(({ kind }) => kind === 'baked-dust')),
    strips,
    coated:
      coats.some(({ product }) => isCoating(product)) ||
      (!strips && vehicle.treatments.some(({ kind }) => kind === 'coating')),
    areaM2: panelsOfVehicle(vehicle).reduce((sum, { areaM2 }) => sum + areaM2, 0),
    singleStage: singleStagePanels(vehicle).length > 0,
    fresh: Object.values(vehicle.panelFacts ?? {}).some(
      ({ sprayedOn }) => sprayedOn !== undefined && daysBetween(sprayedOn, day) < FRESH_DAYS,
    ),
  }
}

/** The wash of a job as it was planned; empty until somebody has felt and seen how dirty the car is. */
export async function washLines(db: Knex, job: Job, shop: Shop): Promise<PlannedStep[]> {
  const { findings } = await loadWash(db, job.id)
  if (!findings) return []
  const { contamination, place, method } = findings
  const { school, gear } = shop.setup.wash
  return planWash({
    contamination,
    place,
    school,
    gear,
    supplies: shop.setup.supplies,
    ...(method ? { method } : {}),
    ...(await washedCar(db, job, shop)),
  }).steps
}

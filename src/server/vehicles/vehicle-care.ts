import type { Knex } from 'knex'
import {
  carePlan,
  careRulesFor,
  type GuaranteeAnswer,
  guaranteeFor,
  type ProtectedUnit,
  type Protection,
  type SurfaceProtection,
  visitsOwed,
} from '@/core/aftercare'
import { isCoating } from '@/core/coating'
import type { VehicleId } from '@/core/ids'
import type { VehicleCare } from '@/core/job'
import type { Shop } from '@/core/shop'
import { dayIn, type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import { careDatesOf, visitDays } from '../aftercare/care-dates'
import { openWishes } from '../aftercare/look-store'
import { loadProtection } from '../aftercare/protection'
import { correctionsOf } from './corrections'

/** The stay of a vehicle that is booked or under way. */
export async function findOpenJob(db: Knex, vehicleId: VehicleId): Promise<VehicleCare['openJob']> {
  const row = await db('jobs')
    .where({ vehicle_id: vehicleId })
    .whereNull('handed_over_at')
    .orderBy('arrive_at')
    .first('id', 'kind', 'arrive_at')
  return row ? { id: row.id, kind: row.kind, arriveAt: instantOrThrow(row.arrive_at) } : undefined
}

export async function loadVehicleCare(
  db: Knex,
  shop: Shop,
  vehicle: Vehicle,
  now: Instant,
): Promise<VehicleCare> {
  const { region, climate } = shop.setup
  const { timezone } = region
  const protection = await loadProtection(db, shop, vehicle, now)
  const wishes = await openWishes(db, vehicle.id)
  const dates = careDatesOf(protection, timezone, wishes[0]?.fromDay)
  const corrections = await correctionsOf(db, shop.setup, vehicle)
  const paint = protection.surfaces.find(({ surface }) => surface === 'paint')
  const openJob = await findOpenJob(db, vehicle.id)
  const coated = paint?.products.some(isCoating) ?? false
  const topperMinutes = Math.max(
    0,
    ...(paint?.products ?? []).map(({ topperFromMinutes }) => topperFromMinutes),
  )
  return {
    protection,
    wishes,
    corrections,
    ...(dates ? { dates } : {}),
    ...(openJob ? { openJob } : {}),
    rules: careRulesFor({
      ...vehicle,
      coated,
      seaAir: climate.seaAir,
      guaranteed: paint?.products.some(({ guaranteeMonths }) => guaranteeMonths > 0) ?? false,
    }),
    plan:
      paint && dates
        ? carePlan({
            today: dayIn(timezone, now),
            topperFrom: dayIn(timezone, plusMinutes(paint.laidAt, topperMinutes)),
            laidOn: paint.laidOn,
            use: vehicle,
            exposure: protection.exposure,
            climate,
            visit: dates.visit,
            goodUntil: dates.good,
            polishesLeft: Math.min(...corrections.map(({ left }) => left.polishes)),
          })
        : [],
  }
}

/** Whether the shop stands for a part that failed at a visit, by its rules. */
export function guaranteeOf(
  protection: Protection,
  surface: SurfaceProtection,
  unit: ProtectedUnit,
  vehicle: Vehicle,
  zone: string,
): GuaranteeAnswer | undefined {
  const { last } = unit
  if (!last) return undefined
  const first = Math.min(...surface.products.map(({ firstVisitMonths }) => firstVisitMonths))
  return guaranteeFor({
    laidOn: dayIn(zone, unit.laidAt),
    seenOn: dayIn(zone, last.at),
    months: Math.max(...unit.layers.map(({ guaranteeMonths }) => guaranteeMonths)),
    visits: visitsOwed(
      { laidOn: surface.laidOn, firstVisitMonths: first, exposure: protection.exposure },
      visitDays(protection, surface.laidAt, zone),
    ),
    washing: vehicle.washing,
    look: last,
    cause: last.cause ?? 'unknown',
  })
}

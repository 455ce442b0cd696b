import type { Knex } from 'knex'
import { type CareDates, nextVisit, type Protection, type VisitReason } from '@/core/aftercare'
import type { VehicleId } from '@/core/ids'
import type { Shop } from '@/core/shop'
import { dayIn, type Instant, type LocalDay, localDayOrThrow, plusDays, plusMonths } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import type { CareDatesRow } from '../db/tables'
import { findKnown } from '../vehicles/vehicle-store'
import { openWishes } from './look-store'
import { failing, loadProtection } from './protection'

type CareRow = Omit<CareDatesRow, 'why'> & { why: VisitReason }

export function toCareDates(row: CareRow): CareDates {
  const day = localDayOrThrow
  return {
    laidOn: day(row.laid_on),
    productId: row.product_id,
    visit: { from: day(row.visit_from), until: day(row.visit_until), why: row.why },
    good: { low: day(row.good_low), mid: day(row.good_mid), high: day(row.good_high) },
    ...(row.guarantee_until ? { guaranteeUntil: day(row.guarantee_until) } : {}),
    failing: row.failing,
    ...(row.last_visit ? { lastVisit: day(row.last_visit) } : {}),
  }
}

/** The days on which a vehicle was looked at since its coating, the oldest first. */
export function visitDays({ looks }: Pick<Protection, 'looks'>, since: Instant, zone: string): LocalDay[] {
  return [...new Set(looks.filter(({ at }) => at > since).map(({ at }) => dayIn(zone, at)))]
}

/** The dates from a protection; undefined where nothing lies on the paint. */
export function careDatesOf(
  protection: Protection,
  zone: string,
  askedFrom: LocalDay | undefined,
): CareDates | undefined {
  const paint = protection.surfaces.find(({ surface }) => surface === 'paint')
  if (!paint) return undefined
  const lastVisit = visitDays(protection, paint.laidAt, zone).at(-1)
  const guarantee = Math.max(...paint.products.map(({ guaranteeMonths }) => guaranteeMonths))
  const { laidOn, goodUntil } = paint
  const visit = nextVisit({
    laidOn,
    firstVisitMonths: Math.min(...paint.products.map(({ firstVisitMonths }) => firstVisitMonths)),
    exposure: protection.exposure,
    cautiousEnd: goodUntil.low,
    ...(lastVisit ? { lastVisit } : {}),
    ...(askedFrom ? { askedFrom } : {}),
  })
  return {
    laidOn,
    productId: paint.products.at(-1)!.id,
    visit,
    good: goodUntil,
    ...(guarantee > 0 ? { guaranteeUntil: plusMonths(laidOn, guarantee) } : {}),
    failing: failing(protection).filter(({ alone }) => alone).length,
    ...(lastVisit ? { lastVisit } : {}),
  }
}

/** Works the dates of a vehicle out anew after something has changed about it: applied, looked at, asked for, told. */
export async function refreshCareDates(
  db: Knex,
  shop: Shop,
  vehicleId: VehicleId,
  now: Instant,
): Promise<CareDates | undefined> {
  // First, so that a car whose dates cannot be worked out is not the stalest again at once.
  await db('vehicles')
    .where({ id: vehicleId })
    .update({ care_checked_on: dayIn(shop.setup.region.timezone, now) })
  const known = await findKnown(db, vehicleId)
  if (!known || known.isPutAway) return undefined
  return writeCareDates(db, shop, known.vehicle, await loadProtection(db, shop, known.vehicle, now))
}

/** So long after its dates were worked out a car is due again, days (mem): the calendar alone moves a coat towards its end. */
const WORKED_OUT_DAYS = 7

/**
 * Works out anew the dates of the car whose dates are the oldest, if they are a week old or were never worked out. False
 * where there is none. A car whose dates cannot be worked out throws, and is left alone for a week.
 */
export async function refreshStalest(db: Knex, shop: Shop, now: Instant): Promise<boolean> {
  const today = dayIn(shop.setup.region.timezone, now)
  const stalest: { id: VehicleId } | undefined = await db('vehicles')
    .whereNull('put_away_at')
    .where((either) =>
      either.whereNull('care_checked_on').orWhere('care_checked_on', '<=', plusDays(today, -WORKED_OUT_DAYS)),
    )
    .where((known) =>
      known
        .whereExists(
          db('jobs')
            .whereRaw('jobs.vehicle_id = vehicles.id')
            .whereNotNull('handed_over_at')
            .select(db.raw('1')),
        )
        .orWhereExists(
          db('brought_histories').whereRaw('brought_histories.vehicle_id = vehicles.id').select(db.raw('1')),
        ),
    )
    .orderBy(['care_checked_on', 'id'])
    .first('id')
  if (!stalest) return false
  await refreshCareDates(db, shop, stalest.id, now)
  return true
}

async function writeCareDates(
  db: Knex,
  shop: Shop,
  vehicle: Vehicle,
  protection: Protection,
): Promise<CareDates | undefined> {
  const asked = (await openWishes(db, vehicle.id))[0]?.fromDay
  const dates = careDatesOf(protection, shop.setup.region.timezone, asked)
  if (!dates) {
    await db('care_dates').where({ vehicle_id: vehicle.id }).delete()
    return undefined
  }
  await db('care_dates')
    .insert({
      vehicle_id: vehicle.id,
      laid_on: dates.laidOn,
      product_id: dates.productId,
      visit_from: dates.visit.from,
      visit_until: dates.visit.until,
      why: dates.visit.why,
      good_low: dates.good.low,
      good_mid: dates.good.mid,
      good_high: dates.good.high,
      guarantee_until: dates.guaranteeUntil ?? null,
      failing: dates.failing,
      last_visit: dates.lastVisit ?? null,
    })
    .onConflict('vehicle_id')
    .merge()
  return dates
}

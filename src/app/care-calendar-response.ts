import type { Knex } from 'knex'
import { careIcalendar, careMilestones } from '@/core/aftercare'
import type { KnownVehicle } from '@/core/job'
import { readIn } from '@/core/region'
import type { Shop } from '@/core/shop'
import { type Instant, plusMinutes } from '@/core/time'
import { loadVehicleCare } from '@/server/vehicles/vehicle-care'
import { wordedDate, wordedMilestone } from '@/text/care'

/** Milestones of a coating stand in the calendar for so long after it was applied, days. */
const FRESH_DAYS = 45

/** The care plan of a vehicle as a calendar file; with the cure calendar while a coating is fresh. */
export async function careCalendarResponse(
  db: Knex,
  shop: Shop,
  { vehicle, customer }: KnownVehicle,
  now: Instant,
): Promise<Response> {
  const region = readIn(shop.setup.region, customer.language)
  const { protection, plan } = await loadVehicleCare(db, shop, vehicle, now)
  const since = plusMinutes(now, -FRESH_DAYS * 1440)
  const fresh = protection.coats.flatMap(({ product: { id, kind }, endedAt: ended }) => {
    const product = shop.catalogue.find((each) => each.id === id)
    return product && kind !== 'topper' && ended > since ? [{ product, ended }] : []
  })
  const text = careIcalendar({
    uid: `vehicle-${vehicle.id}`,
    vehicle: `${vehicle.make} ${vehicle.model}, ${vehicle.plate}`,
    shop: shop.setup.name,
    issued: now,
    milestones:
      fresh.length > 0
        ? careMilestones(fresh, region.timezone)
            .filter(({ key }) => key !== 'first-visit')
            .map((milestone) => wordedMilestone(region, milestone))
        : [],
    dates: plan.map((date) => wordedDate(region, date)),
  })
  return new Response(text, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-store' },
  })
}

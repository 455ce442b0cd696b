import { careCalendarResponse } from '@/app/care-calendar-response'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { vehicleOfLink } from '@/server/links/owner-links'
import { loadShop } from '@/server/shop/shop-store'
import { findKnown } from '@/server/vehicles/vehicle-store'

/** The calendar of an owner's car, to be subscribed to for as long as the link is open. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }) {
  const db = await database()
  const owned = await vehicleOfLink(db, (await params).token, now())
  const known = owned && (await findKnown(db, owned.vehicleId))
  return known
    ? careCalendarResponse(db, await loadShop(db), known, now())
    : new Response('This link no longer works.', { status: 404 })
}

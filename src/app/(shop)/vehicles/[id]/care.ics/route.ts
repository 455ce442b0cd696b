import { careCalendarResponse } from '@/app/care-calendar-response'
import { toVehicleId } from '@/core/ids'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { findKnown } from '@/server/vehicles/vehicle-store'

/** The year ahead of one vehicle for any calendar program. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const db = await database()
  const known = await findKnown(db, toVehicleId((await params).id))
  return known
    ? careCalendarResponse(db, await loadShop(db), known, now())
    : new Response('There is no such vehicle.', { status: 404 })
}

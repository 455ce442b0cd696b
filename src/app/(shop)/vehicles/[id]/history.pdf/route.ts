import { pdfResponse } from '@/app/pdf'
import { toVehicleId } from '@/core/ids'
import { readIn } from '@/core/region'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { withReadablePictures } from '@/server/vehicles/readable-pictures'
import { loadHistory, withPictures } from '@/server/vehicles/vehicle-history'
import { findKnown } from '@/server/vehicles/vehicle-store'

/** The history of a vehicle to be read, in the language of whoever owns it. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const db = await database()
  const shop = await loadShop(db)
  const vehicleId = toVehicleId((await params).id)
  const history = await loadHistory(db, shop, vehicleId, now())
  const known = await findKnown(db, vehicleId)
  if (!history || !known) return new Response('There is no such vehicle.', { status: 404 })
  const region = readIn(shop.setup.region, known.customer.language)
  const readable = await withReadablePictures(await withPictures(history))
  return pdfResponse({ file: 'vehicle-history' }, 'history-pdf', readable, region)
}

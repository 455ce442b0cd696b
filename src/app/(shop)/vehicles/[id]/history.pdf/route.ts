import { pdf, pdfHeaders } from '@/app/pdf'
import { toVehicleId } from '@/core/ids'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { loadHistory, withPictures } from '@/server/vehicles/vehicle-history'

/** The history of a vehicle to be read. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const db = await database()
  const shop = await loadShop(db)
  const history = await loadHistory(db, shop, toVehicleId((await params).id), now())
  if (!history) return new Response('There is no such vehicle.', { status: 404 })
  return new Response(await pdf('history-pdf', await withPictures(history), shop.setup.region), {
    headers: pdfHeaders('vehicle-history'),
  })
}

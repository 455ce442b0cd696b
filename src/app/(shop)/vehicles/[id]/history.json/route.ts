import { toVehicleId } from '@/core/ids'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { historyFile } from '@/server/vehicles/vehicle-history'

/** The history of a vehicle as the file that is handed on. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const db = await database()
  const file = await historyFile(db, await loadShop(db), toVehicleId((await params).id), now())
  if (!file) return new Response('There is no such vehicle.', { status: 404 })
  return new Response(file, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="vehicle-history.json"',
      'cache-control': 'no-store',
    },
  })
}

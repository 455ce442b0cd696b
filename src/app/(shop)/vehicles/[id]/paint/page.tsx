import { notFound } from 'next/navigation'
import { requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { PaintScreen } from '@/features/vehicles/paint-screen'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { correctionsOf } from '@/server/vehicles/corrections'
import { loadLedger } from '@/server/vehicles/ledger-store'
import { loadTrends } from '@/server/vehicles/trends'

export default async function PaintPage({ params }: { params: Promise<{ id: string }> }) {
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const db = await database()
  const { setup } = await loadShop(db)
  return (
    <PaintScreen
      known={known}
      ledger={await loadLedger(db, known.vehicle.id)}
      trends={await loadTrends(db, known.vehicle, setup.region.timezone)}
      region={setup.region}
      corrections={await correctionsOf(db, setup, known.vehicle)}
    />
  )
}

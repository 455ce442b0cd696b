import { notFound } from 'next/navigation'
import { RecordChanges } from '@/app/record-changes'
import { requestRevision, requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { Live } from '@/features/frame/live'
import { CareOverview } from '@/features/vehicles/care-overview'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { loadVehicleCare } from '@/server/vehicles/vehicle-care'

export default async function VehiclePage({ params }: { params: Promise<{ id: string }> }) {
  const since = await requestRevision()
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const db = await database()
  const shop = await loadShop(db)
  const at = now()
  return (
    <>
      <Live since={since} />
      <CareOverview
        known={known}
        care={await loadVehicleCare(db, shop, known.vehicle, at)}
        region={shop.setup.region}
        now={at}
      />
      <RecordChanges
        width="wide"
        of={['vehicles', 'removals', 'owner_links'].map((of) => ({ of, key: known.vehicle.id }))}
      />
    </>
  )
}

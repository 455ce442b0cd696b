import { notFound } from 'next/navigation'
import { requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { HistoryScreen } from '@/features/vehicles/history-screen'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { readBroughtFiles } from '@/server/vehicles/brought'
import { loadTimeline } from '@/server/vehicles/timeline'

export default async function HistoryPage({ params }: { params: Promise<{ id: string }> }) {
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const db = await database()
  const shop = await loadShop(db)
  const { read: brought, unread } = await readBroughtFiles(db, known.vehicle.id)
  return (
    <HistoryScreen
      known={known}
      timeline={await loadTimeline(db, shop, known.vehicle.id)}
      brought={brought}
      unread={unread}
      region={shop.setup.region}
    />
  )
}

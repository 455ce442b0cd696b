import { notFound } from 'next/navigation'
import { HistoryScreen } from '@/features/vehicles/history-screen'
import { listBrought } from '@/server/brought'
import { database } from '@/server/db'
import { requestVehicle } from '@/server/request-floor'
import { loadShop } from '@/server/shop-store'
import { loadTimeline } from '@/server/timeline'

export default async function HistoryPage({ params }: { params: Promise<{ id: string }> }) {
  const known = await requestVehicle((await params).id)
  if (!known) notFound()
  const db = await database()
  const shop = await loadShop(db)
  return (
    <HistoryScreen
      known={known}
      timeline={await loadTimeline(db, shop, known.vehicle.id)}
      brought={await listBrought(db, known.vehicle.id)}
      currency={shop.setup.currency}
    />
  )
}

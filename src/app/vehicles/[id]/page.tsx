import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { VehicleScreen } from '@/features/vehicles/vehicle-screen'
import { database } from '@/server/db'
import { loadVisits } from '@/server/history'
import { loadLedger } from '@/server/ledger-store'
import { photosOfVehicle } from '@/server/photo-store'
import { loadShop } from '@/server/shop-store'
import { findKnown } from '@/server/vehicle-store'

type Props = { params: Promise<{ id: string }> }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const known = await findKnown(await database(), (await params).id)
  return { title: known?.vehicle.plate ?? 'No such vehicle' }
}

export default async function VehiclePage({ params }: Props) {
  const { id } = await params
  const db = await database()
  const known = await findKnown(db, id)
  if (!known) notFound()
  const { setup } = await loadShop(db)
  return (
    <VehicleScreen
      known={known}
      visits={await loadVisits(db, id, setup)}
      ledger={await loadLedger(db, id)}
      photos={await photosOfVehicle(db, id)}
    />
  )
}

import type { Metadata } from 'next'
import { VehicleList } from '@/features/vehicles/vehicle-list'
import { database } from '@/server/db'
import { listKnown } from '@/server/vehicle-store'

export const metadata: Metadata = { title: 'Vehicles' }

export default async function VehiclesPage() {
  return <VehicleList first={await listKnown(await database())} />
}

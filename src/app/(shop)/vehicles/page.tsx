import type { Metadata } from 'next'
import { VehicleList } from '@/features/vehicles/vehicle-list'
import { database } from '@/server/db/connection'
import { listKnown } from '@/server/vehicles/vehicle-store'

export const metadata: Metadata = { title: 'Vehicles' }

export default async function VehiclesPage() {
  return <VehicleList first={await listKnown(await database())} />
}

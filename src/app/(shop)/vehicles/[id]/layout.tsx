import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { VehicleHeader } from '@/features/vehicles/vehicle-frame'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'

type Props = { params: Promise<{ id: string }>; children: ReactNode }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const known = await requestVehicle(toVehicleId((await params).id))
  return { title: known?.vehicle.plate ?? 'No such vehicle' }
}

export default async function VehicleLayout({ params, children }: Props) {
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const { setup } = await loadShop(await database())
  return (
    <>
      <VehicleHeader known={known} region={setup.region} />
      {children}
    </>
  )
}

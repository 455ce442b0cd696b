import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { requestVehicle } from '@/app/request-floor'
import { toVehicleId } from '@/core/ids'
import { mayDo, mayReach } from '@/core/staff'
import { VehicleHeader } from '@/features/vehicles/vehicle-frame'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { staffRules } from '@/server/staff/sessions'
import { whoIsHere } from '@/server/staff/who-is-here'

type Props = { params: Promise<{ id: string }>; children: ReactNode }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const known = await requestVehicle(toVehicleId((await params).id))
  return { title: known?.vehicle.plate ?? 'No such vehicle' }
}

export default async function VehicleLayout({ params, children }: Props) {
  const known = await requestVehicle(toVehicleId((await params).id))
  if (!known) notFound()
  const db = await database()
  const { setup } = await loadShop(db)
  const { role } = await whoIsHere()
  return (
    <>
      <VehicleHeader
        known={known}
        region={setup.region}
        atDesk={mayDo(role, 'desk')}
        mayAudit={mayDo(role, 'manage')}
        reachable={mayReach(role, await staffRules(db))}
      />
      {children}
    </>
  )
}

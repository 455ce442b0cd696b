import type { Metadata } from 'next'
import { toVehicleId } from '@/core/ids'
import { dayIn } from '@/core/time'
import { IntakeForm } from '@/features/intake/intake-form'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadPast } from '@/server/intake/past'
import { loadShop } from '@/server/shop/shop-store'
import { recentlyGone } from '@/server/vehicles/vehicle-store'

export const metadata: Metadata = { title: 'Check in' }

type Props = { searchParams: Promise<{ vehicle?: string }> }

export default async function IntakePage({ searchParams }: Props) {
  const { vehicle } = await searchParams
  const db = await database()
  const { setup } = await loadShop(db)
  return (
    <IntakeForm
      today={dayIn(setup.region.timezone, now())}
      recent={await recentlyGone(db)}
      back={vehicle ? await loadPast(db, toVehicleId(vehicle)) : undefined}
    />
  )
}

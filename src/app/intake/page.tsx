import type { Metadata } from 'next'
import { dayIn } from '@/core/time'
import { IntakeForm } from '@/features/intake/intake-form'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadShop } from '@/server/shop-store'
import { recentlyGone } from '@/server/vehicle-store'

export const metadata: Metadata = { title: 'Take in' }

export default async function IntakePage() {
  const db = await database()
  const { setup } = await loadShop(db)
  return <IntakeForm today={dayIn(setup.timezone, now())} recent={await recentlyGone(db)} />
}

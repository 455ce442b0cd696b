import type { Metadata } from 'next'
import { dayIn } from '@/core/time'
import { IntakeForm } from '@/features/intake/intake-form'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadShop } from '@/server/shop-store'

export const metadata: Metadata = { title: 'Take in' }

export default async function IntakePage() {
  const { setup } = await loadShop(await database())
  return <IntakeForm today={dayIn(setup.timezone, now())} />
}

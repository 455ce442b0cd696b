import type { Metadata } from 'next'
import { dayIn } from '@/core/time'
import { DataScreen } from '@/features/data/data-screen'
import { broughtLists } from '@/server/bring/bring-store'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Your data' }

export default async function DataPage() {
  const db = await database()
  const { setup } = await loadShop(db)
  const at = now()
  return <DataScreen lists={await broughtLists(db)} today={dayIn(setup.region.timezone, at)} now={at} />
}

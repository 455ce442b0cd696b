import type { Metadata } from 'next'
import { ShopSchedule } from '@/features/schedule/shop-schedule'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'

export const metadata: Metadata = { title: 'Schedule' }

export default async function SchedulePage() {
  return <ShopSchedule floor={await loadFloor(await database(), now())} />
}

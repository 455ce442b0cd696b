import type { Metadata } from 'next'
import { ShopSchedule } from '@/features/schedule/shop-schedule'
import { requestFloor } from '@/server/request-floor'

export const metadata: Metadata = { title: 'Schedule' }

export default async function SchedulePage() {
  return <ShopSchedule floor={await requestFloor()} />
}

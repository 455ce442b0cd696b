import type { Metadata } from 'next'
import { requestFloor, requestRevision } from '@/app/request-floor'
import { everyone } from '@/core/shop'
import { Live } from '@/features/frame/live'
import { dayCars } from '@/features/work/day'
import { DayScreen } from '@/features/work/day-screen'

export const metadata: Metadata = { title: 'Today at the cars' }

export default async function WorkDayPage() {
  const since = await requestRevision()
  const floor = await requestFloor()
  const { setup } = floor.shop
  return (
    <>
      <Live since={since} />
      <DayScreen
        cars={dayCars(floor)}
        people={everyone(setup).map(({ id, name }) => ({ id, name }))}
        region={setup.region}
        now={floor.now}
      />
    </>
  )
}

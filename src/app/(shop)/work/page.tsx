import type { Metadata } from 'next'
import { requestFloor, requestRevision } from '@/app/request-floor'
import { everyone } from '@/core/shop'
import { Live } from '@/features/frame/live'
import { dayCars } from '@/features/work/day'
import { DayScreen } from '@/features/work/day-screen'
import { CarNotes } from '@/features/yard/car-notes'
import { database } from '@/server/db/connection'
import { loadWaitingNotes } from '@/server/work/notes'

export const metadata: Metadata = { title: 'Today at the cars' }

export default async function WorkDayPage() {
  const since = await requestRevision()
  const floor = await requestFloor()
  const { setup } = floor.shop
  const people = everyone(setup).map(({ id, name }) => ({ id, name }))
  return (
    <>
      <Live since={since} />
      <div className="mx-auto max-w-3xl px-5 pt-5 empty:hidden">
        <CarNotes
          notes={await loadWaitingNotes(await database(), floor)}
          people={people}
          region={setup.region}
          now={floor.now}
        />
      </div>
      <DayScreen cars={dayCars(floor)} people={people} region={setup.region} now={floor.now} />
    </>
  )
}

import type { Metadata } from 'next'
import { requestFloor, requestRevision } from '@/app/request-floor'
import { everyone } from '@/core/shop'
import { mayDo } from '@/core/staff'
import { Live } from '@/features/frame/live'
import { dayCars } from '@/features/work/day'
import { DayScreen } from '@/features/work/day-screen'
import { HandedOnList } from '@/features/work/handed-on'
import { ToConfirmList } from '@/features/work/to-confirm'
import { CarNotes } from '@/features/yard/car-notes'
import { database } from '@/server/db/connection'
import { whoIsHere } from '@/server/staff/who-is-here'
import { loadHandedOn } from '@/server/work/handed-on'
import { loadWaitingNotes } from '@/server/work/notes'
import { loadToConfirm } from '@/server/work/to-confirm'

export const metadata: Metadata = { title: 'Today at the cars' }

export default async function WorkDayPage() {
  const since = await requestRevision()
  const floor = await requestFloor()
  const { setup } = floor.shop
  const { role } = await whoIsHere()
  const crew = new Set(setup.people.map(({ id }) => id))
  const people = everyone(setup).map(({ id, name }) => ({ id, name, outside: !crew.has(id) }))
  return (
    <>
      <Live since={since} />
      <div className="mx-auto max-w-3xl px-5 pt-5 empty:hidden">
        <ToConfirmList
          waiting={await loadToConfirm(await database(), floor)}
          mayConfirm={mayDo(role, 'floor') && role !== 'trainee'}
          region={setup.region}
          now={floor.now}
        />
        <HandedOnList
          waiting={await loadHandedOn(await database(), floor)}
          people={people}
          region={setup.region}
          now={floor.now}
        />
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

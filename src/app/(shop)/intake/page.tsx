import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
import { toVehicleId } from '@/core/ids'
import type { Intake } from '@/core/intake/intake'
import { dayIn, isLocalDay } from '@/core/time'
import { isShape } from '@/core/vehicle'
import { intakeOfHold } from '@/features/intake/held'
import { IntakeForm } from '@/features/intake/intake-form'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadPast } from '@/server/intake/past'
import { listHolds } from '@/server/planning/hold-store'
import { loadShop } from '@/server/shop/shop-store'
import { recentlyGone } from '@/server/vehicles/vehicle-store'

export const metadata: Metadata = { title: 'Check in' }

type Asked = Partial<Record<'vehicle' | 'shape' | 'day' | 'wishes' | 'hold', string>>

/** What was said on the telephone before the car came, as far as it makes sense. */
function begunWith({ shape, day, wishes }: Asked): Partial<Intake> | undefined {
  const begun = {
    ...(shape && isShape(shape) ? { shape } : {}),
    ...(day && isLocalDay(day) ? { arriveDay: day } : {}),
    ...(wishes ? { wishes: wishes.slice(0, MOST_WISHES) } : {}),
  }
  return Object.keys(begun).length > 0 ? begun : undefined
}

const MOST_WISHES = 200

export default async function IntakePage({ searchParams }: { searchParams: Search }) {
  const asked: Asked = await askedOnce(searchParams)
  const { vehicle } = asked
  const db = await database()
  const { setup } = await loadShop(db)
  const today = dayIn(setup.region.timezone, now())
  const held = asked.hold
    ? (await listHolds(db, today, now())).find(({ id, jobId }) => id === asked.hold && !jobId)
    : undefined
  return (
    <IntakeForm
      today={today}
      recent={await recentlyGone(db)}
      begun={held ? intakeOfHold(held, setup.region) : begunWith(asked)}
      back={vehicle ? await loadPast(db, toVehicleId(vehicle)) : undefined}
    />
  )
}

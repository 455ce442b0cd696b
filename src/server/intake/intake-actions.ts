'use server'

import { redirect } from 'next/navigation'
import { atLocal, dayIn, laterOf, localDayOrThrow } from '@/core/time'
import { refreshCareDates } from '../aftercare/care-dates'
import { now } from '../clock'
import { database } from '../db/connection'
import { takeIn } from '../floor/job-store'
import { loadShop } from '../shop/shop-store'
import { intakeSchema } from './intake-schema'

export type IntakeRefusal = { fields: Record<string, string> }

/** Vehicles come in when the early shift does; on the day itself, from now on. */
const ARRIVAL_CLOCK = '08:00'

/** Takes a vehicle in and goes on to walking round it; refuses with a sentence for each field that is wrong. */
export async function takeVehicleIn(input: unknown): Promise<IntakeRefusal> {
  const checked = intakeSchema.safeParse(input)
  if (!checked.success)
    return {
      fields: Object.fromEntries(checked.error.issues.map((issue) => [String(issue.path[0]), issue.message])),
    }
  const db = await database()
  const at = now()
  const shop = await loadShop(db)
  const { setup } = shop
  const today = dayIn(setup.timezone, at)
  if (checked.data.arriveDay < today)
    return { fields: { arriveDay: 'That day has passed. Choose today or later.' } }
  if (checked.data.wantedBy !== '' && checked.data.wantedBy < checked.data.arriveDay)
    return { fields: { wantedBy: 'That is before the vehicle comes in. Choose a later day.' } }
  const arrive = laterOf(atLocal(setup.timezone, localDayOrThrow(checked.data.arriveDay), ARRIVAL_CLOCK), at)
  const id = await takeIn(db, checked.data, arrive, at)
  // How it lives may have been told anew.
  if (checked.data.vehicleId) await refreshCareDates(db, shop, checked.data.vehicleId, at)
  redirect(`/jobs/${id}/walk`)
}

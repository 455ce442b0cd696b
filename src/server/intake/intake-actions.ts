'use server'

import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toJobId, toVehicleId } from '@/core/ids'
import { intakeSchema } from '@/core/intake/intake'
import { atLocal, dayIn, laterOf, localDayOrThrow } from '@/core/time'
import { defineAction } from '../action/define'
import { refreshCareDates } from '../aftercare/care-dates'
import { takeIn } from '../floor/job-store'
import { becomesJob } from '../planning/hold-store'
import { loadShop } from '../shop/shop-store'

/** Vehicles come in when the early shift does; on the day itself, from now on. */
const ARRIVAL_CLOCK = '08:00'

/** Takes a vehicle in; the page goes on to walking round it. */
export const takeVehicleIn = defineAction({
  name: 'intake.take-in',
  who: 'desk',
  input: intakeSchema.strict(),
  write: async ({ trx, at }, intake) => {
    const shop = await loadShop(trx)
    const { timezone } = shop.setup.region
    if (intake.arriveDay < dayIn(timezone, at)) return refuse('input', ask('past-day'), 'arriveDay')
    if (intake.wantedBy !== '' && intake.wantedBy < intake.arriveDay)
      return refuse('input', ask('before-arrival'), 'wantedBy')
    const arrive = laterOf(atLocal(timezone, localDayOrThrow(intake.arriveDay), ARRIVAL_CLOCK), at)
    const jobId = await takeIn(trx, intake, arrive, at)
    if (intake.hold) await becomesJob(trx, toJobId(intake.hold), jobId)
    // How it lives may have been told anew.
    if (intake.vehicleId) await refreshCareDates(trx, shop, toVehicleId(intake.vehicleId), at)
    return done({ jobId })
  },
})

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aVehicle } from '@/core/inputs'
import { RETENTION_KINDS, RETENTION_MONTHS } from '@/core/people'
import { mayReach } from '@/core/staff'
import { defineAction } from '../action/define'
import { todayHere } from '../shop/today'
import { staffRules } from '../staff/sessions'
import { removePictures } from './erase'
import { droppingPhotographs, erasing } from './erasing'
import { dropMessages, leaveThisMonth } from './retention'

/** What is taken from the disk once it is gone from every page. */
async function removed({ pictures }: { pictures: readonly string[] }): Promise<null> {
  await removePictures(pictures)
  return null
}

/** Tells how the owner of a car is reached. Whoever was told stands in the journal; what they were told does not. */
export const tellContact = defineAction({
  name: 'customers.reach',
  who: 'team',
  secret: true,
  input: z.strictObject({ vehicleId: aVehicle }),
  write: async ({ trx, caller }, { vehicleId }) => {
    if (!mayReach(caller.role, await staffRules(trx))) return refuse('not-for-you', ask('not-for-you-to-do'))
    const owner = await trx('customers')
      .join('vehicles', 'vehicles.customer_id', 'customers.id')
      .where('vehicles.id', vehicleId)
      .first('customers.phone', 'customers.email')
    return owner ? done({ phone: owner.phone, email: owner.email }) : refuse('gone', ask('vehicle-gone'))
  },
})

/** Erases a customer. */
export const erase = defineAction(erasing, removed)

/** Lets go of photographs that were kept for their time. */
export const letGoOfPhotographs = defineAction(droppingPhotographs, removed)

const months = z
  .int(ask('retention-months'))
  .min(RETENTION_MONTHS.least, ask('retention-months'))
  .max(RETENTION_MONTHS.most, ask('retention-months'))

/** For how long what is kept. */
export const keepRetention = defineAction({
  name: 'customers.keep-retention',
  who: 'manage',
  input: z.strictObject({ messages: months, photographs: months, customers: months }),
  write: async ({ trx }, rules) => {
    for (const kind of RETENTION_KINDS)
      await trx('retention').insert({ kind, months: rules[kind] }).onConflict('kind').merge()
    return done()
  },
})

/** Lets go of messages that were kept for their time. */
export const letGoOfMessages = defineAction({
  name: 'customers.drop-messages',
  who: 'manage',
  input: z.null(),
  write: async ({ trx, at }) => done({ count: await dropMessages(trx, await todayHere(trx, at)) }),
})

/** Leaves alone, until next month, what was kept for its time. */
export const leaveOutdated = defineAction({
  name: 'customers.leave-outdated',
  who: 'manage',
  input: z.null(),
  write: async ({ trx, at, caller }) => {
    await leaveThisMonth(trx, await todayHere(trx, at), caller.name ?? '', at)
    return done()
  },
})

/** Takes a car out of every list; what is known of it stays, and it comes back with its next check-in. */
export const putAway = defineAction({
  name: 'vehicles.put-away',
  who: 'desk',
  input: z.strictObject({ vehicleId: aVehicle }),
  write: async ({ trx, at }, { vehicleId }) => {
    const open = await trx('jobs').where({ vehicle_id: vehicleId }).whereNull('handed_over_at').first('id')
    if (open) return refuse('rule', ask('put-away-expected'))
    const put = await trx('vehicles')
      .where({ id: vehicleId })
      .whereNull('put_away_at')
      .update({ put_away_at: at })
    if (put === 0) return refuse('gone', ask('vehicle-gone'))
    await trx('care_dates').where({ vehicle_id: vehicleId }).delete()
    return done()
  },
})

export const takeBack = defineAction({
  name: 'vehicles.take-back',
  who: 'desk',
  input: z.strictObject({ vehicleId: aVehicle }),
  write: async ({ trx }, { vehicleId }) => {
    const back = await trx('vehicles')
      .where({ id: vehicleId })
      .whereNotNull('put_away_at')
      .update({ put_away_at: null, care_checked_on: null })
    return back > 0 ? done() : refuse('gone', ask('vehicle-gone'))
  },
})

'use server'

import { z } from 'zod'
import { comesOn, lifeSchema, lookFrom, looksSchema, repairSchema } from '@/core/aftercare/visit-told'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, aVehicle, id } from '@/core/inputs'
import { everyone, type Setup } from '@/core/shop'
import { dayIn, type Instant, type LocalDay, plusDays } from '@/core/time'
import { sizeOf } from '@/core/vehicle'
import { SHORT_WISH } from '@/text/en/visits'
import { defineAction, defineReadAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadFloor } from '../floor/floor'
import { findJob, handOver, writeLife } from '../floor/job-store'
import { loadShop } from '../shop/shop-store'
import { findOpenJob } from '../vehicles/vehicle-care'
import { findKnown } from '../vehicles/vehicle-store'
import { refreshCareDates } from './care-dates'
import { dropLook, writeLooks } from './look-store'
import { loadProtection, unitsOf } from './protection'
import { bookShortJob, openVisit, repairFor, repairFrom, visitOffer } from './short-jobs'

const GONE = ask('vehicle-gone')
const VISIT_GONE = ask('visit-gone')
const WENT_HOME = ask('looks-kept')

/** The last day the calendar looks at. */
const plannedUntil = ({ region, horizonDays }: Setup, at: Instant): LocalDay =>
  plusDays(dayIn(region.timezone, at), horizonDays)

/** Days on which a visit would fit, with the price. */
export const daysForVisit = defineReadAction({
  name: 'aftercare.days-for-visit',
  who: 'desk',
  input: z.strictObject({ vehicleId: aVehicle, from: lookFrom }),
  read: async ({ db, at }, { vehicleId, from }) => {
    const shop = await loadShop(db)
    const known = await findKnown(db, vehicleId)
    if (!known) return refuse('gone', GONE)
    const offer = visitOffer(shop, known.vehicle, known.customer)
    return done({
      days: await compute('days', at, offer.plan, sizeOf(known.vehicle), from),
      totalCents: offer.price.totalCents,
      region: shop.setup.region,
      plannedUntil: plannedUntil(shop.setup, at),
    })
  },
})

export const bookVisit = defineAction({
  name: 'aftercare.book-visit',
  who: 'desk',
  input: z.strictObject({
    vehicleId: aVehicle,
    day: comesOn,
    words: z
      .string()
      .trim()
      .max(300, ask('keep-under', { characters: 300 })),
  }),
  write: async ({ trx, at }, { vehicleId, day, words }) => {
    const shop = await loadShop(trx)
    const known = await findKnown(trx, vehicleId)
    if (!known) return refuse('gone', GONE)
    if (await findOpenJob(trx, vehicleId)) return refuse('stale', ask('visit-booked'))
    const wishes = words || SHORT_WISH.visit
    const booked = await bookShortJob(trx, at, visitOffer(shop, known.vehicle, known.customer), {
      vehicleId,
      day,
      wishes,
    })
    if ('message' in booked) return refuse('rule', booked.message, 'day')
    await refreshCareDates(trx, shop, vehicleId, at)
    return done({ jobId: booked.jobId })
  },
})

/** The visit of a car that stands in the yard: the one that is open for it, or a new one. */
export const logVisit = defineAction({
  name: 'aftercare.log-visit',
  who: 'floor',
  input: z.strictObject({ vehicleId: aVehicle }),
  write: async ({ trx, at }, { vehicleId }) => {
    if (!(await findKnown(trx, vehicleId))) return refuse('gone', GONE)
    const openJob = await findOpenJob(trx, vehicleId)
    if (openJob?.kind === 'visit') return done({ jobId: openJob.id })
    if (openJob) return refuse('stale', ask('in-hand'))
    return done({ jobId: await openVisit(trx, vehicleId, at) })
  },
})

/** Keeps what was seen; the outlook moves at once. */
export const keepLooks = defineAction({
  name: 'aftercare.keep-looks',
  who: 'floor',
  input: looksSchema.extend({ jobId: aJob }),
  write: async ({ trx, at }, { jobId, by, cleaned, looks }) => {
    const shop = await loadShop(trx)
    const job = await findJob(trx, jobId)
    if (job?.kind !== 'visit') return refuse('gone', VISIT_GONE)
    if (job.handedOverAt) return refuse('stale', WENT_HOME)
    if (!everyone(shop.setup).some((person) => person.id === by))
      return refuse('input', ask('who-looks'), 'by')
    const { surfaces } = await loadProtection(trx, shop, job.vehicle, at)
    const known = new Set([
      ...unitsOf(job.vehicle, 'paint').map((unit) => unit.id),
      ...surfaces.map(({ surface }) => surface),
    ])
    if (looks.some(({ unit }) => !known.has(unit))) return refuse('gone', ask('no-such-part'))
    await writeLooks(
      trx,
      jobId,
      looks.map(({ feel, angleDegrees, cause, ...look }) => ({
        ...look,
        ...(feel ? { feel } : {}),
        ...(angleDegrees === undefined ? {} : { angleDegrees }),
        ...(cause ? { cause } : {}),
        cleaned,
        by,
        at,
      })),
    )
    await refreshCareDates(trx, shop, job.vehicle.id, at)
    return done()
  },
})

export const takeLookBack = defineAction({
  name: 'aftercare.take-look-back',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, unit: id }),
  write: async ({ trx, at }, { jobId, unit }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', VISIT_GONE)
    if (job.handedOverAt) return refuse('stale', WENT_HOME)
    await dropLook(trx, jobId, unit)
    await refreshCareDates(trx, await loadShop(trx), job.vehicle.id, at)
    return done()
  },
})

/** Ends the visit of a car that came unannounced: it drives home as it came. */
export const endVisit = defineAction({
  name: 'aftercare.end-visit',
  who: 'floor',
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at }, { jobId }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (entry?.stage.kind !== 'to-look') return refuse('rule', ask('visit-has-steps'))
    await handOver(trx, entry.job, [], at)
    await refreshCareDates(trx, floor.shop, entry.job.vehicle.id, at)
    return done()
  },
})

/** What a repair would be: its steps, its price and the days on which it fits. */
export const daysForRepair = defineReadAction({
  name: 'aftercare.days-for-repair',
  who: 'desk',
  input: repairSchema.extend({ visitId: aJob, from: lookFrom }),
  read: async ({ db, at }, { visitId, from, ...typed }) => {
    const found = await repairFor(db, at, visitId, typed)
    if ('message' in found) return refuse('rule', found.message)
    const { setup } = await loadShop(db)
    const { plan, price } = found.offer
    return done({
      days: await compute('days', at, plan, found.size, from),
      totalCents: price.totalCents,
      minutes: plan.operations.reduce(
        (sum, { mode, minutes, people }) => sum + (mode === 'unattended' ? 0 : minutes * people),
        0,
      ),
      steps: plan.operations.map(({ title }) => title),
      region: setup.region,
      plannedUntil: plannedUntil(setup, at),
    })
  },
})

export const bookRepair = defineAction({
  name: 'aftercare.book-repair',
  who: 'desk',
  input: repairSchema.extend({ visitId: aJob, day: comesOn }),
  write: async ({ trx, at }, { visitId, day, ...typed }) => {
    const found = await repairFor(trx, at, visitId, typed)
    if ('message' in found) return refuse('rule', found.message, 'panels')
    if (await repairFrom(trx, visitId)) return refuse('stale', ask('repair-booked'))
    const booked = await bookShortJob(trx, at, found.offer, {
      vehicleId: found.vehicleId,
      day,
      wishes: SHORT_WISH.repair(
        (await loadShop(trx)).setup.region,
        found.offer.polished.map((panel) => panel.id),
      ),
      fromJobId: visitId,
      onGuarantee: typed.onGuarantee,
    })
    return 'message' in booked ? refuse('rule', booked.message, 'day') : done({ jobId: booked.jobId })
  },
})

/** Keeps what an owner tells at a visit of how the car lives; the outlook reckons with it at once. */
export const keepLife = defineAction({
  name: 'aftercare.keep-life',
  who: 'floor',
  input: lifeSchema.extend({ jobId: aJob }),
  write: async ({ trx, at }, { jobId, odometerKm, storage, washing }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', VISIT_GONE)
    if (job.handedOverAt) return refuse('stale', ask('looks-kept'))
    const life = { storage, washing, ...(odometerKm === '' ? {} : { odometerKm: Number(odometerKm) }) }
    await writeLife(trx, job, life)
    await refreshCareDates(trx, await loadShop(trx), job.vehicle.id, at)
    return done()
  },
})

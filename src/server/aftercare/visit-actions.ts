'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { CAUSES, FEELS, WATERS } from '@/core/aftercare'
import { everyone } from '@/core/shop'
import { isLocalDay, localDayOrThrow } from '@/core/time'
import { STORAGES, WASHINGS } from '@/core/vehicle'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { findJob, handOver, writeLife } from '../floor/job-store'
import { loadShop } from '../shop/shop-store'
import { findOpenJob } from '../vehicles/vehicle-care'
import { findKnown } from '../vehicles/vehicle-store'
import { refreshCareDates } from './care-dates'
import { dropLook, writeLooks } from './look-store'
import { failing, loadProtection, unitsOf } from './protection'
import {
  bookShortJob,
  type DayOffered,
  daysFor,
  openVisit,
  repairFrom,
  repairOffer,
  type ShortOffer,
  visitOffer,
} from './short-jobs'

export type VisitAnswer =
  | { kind: 'done'; jobId?: string }
  | { kind: 'refused'; field: string; message: string }

const refuse = (message: string, field = ''): VisitAnswer => ({ kind: 'refused', field, message })

function settled(jobId?: string): VisitAnswer {
  revalidatePath('/', 'layout')
  return { kind: 'done', ...(jobId ? { jobId } : {}) }
}

const GONE = 'This vehicle is no longer there. Go back to the list.'

/** Days on which a visit would fit, with the price. */
export async function daysForVisit(
  vehicleId: string,
  from: string,
): Promise<{ days: DayOffered[]; totalCents: number; zone: string } | { message: string }> {
  if (!isLocalDay(from)) return { message: 'Choose a day to look from.' }
  const db = await database()
  const floor = await loadFloor(db, now())
  const known = await findKnown(db, vehicleId)
  if (!known) return { message: GONE }
  const offer = visitOffer(floor.shop, known.vehicle)
  return {
    days: daysFor(floor, offer.plan, localDayOrThrow(from)),
    totalCents: offer.price.totalCents,
    zone: floor.shop.setup.timezone,
  }
}

export async function bookVisit(vehicleId: string, day: string, words: string): Promise<VisitAnswer> {
  if (!isLocalDay(day)) return refuse('Choose the day on which it comes.', 'day')
  const db = await database()
  const at = now()
  const shop = await loadShop(db)
  const known = await findKnown(db, vehicleId)
  if (!known) return refuse(GONE)
  if (await findOpenJob(db, vehicleId))
    return refuse('This car is on the calendar already. Reload to see it.')
  const offer = visitOffer(shop, known.vehicle)
  const wishes = words.trim().slice(0, 300) || 'A look at the coating, wash and topper.'
  const booked = await bookShortJob(db, at, offer, { vehicleId, day: localDayOrThrow(day), wishes })
  if ('message' in booked) return refuse(booked.message, 'day')
  await refreshCareDates(db, shop, vehicleId, at)
  return settled(booked.jobId)
}

/** The visit of a car that stands in the yard: the one that is open for it, or a new one. */
export async function logVisit(vehicleId: string): Promise<VisitAnswer> {
  const db = await database()
  const at = now()
  const known = await findKnown(db, vehicleId)
  if (!known) return refuse(GONE)
  const openJob = await findOpenJob(db, vehicleId)
  if (openJob?.kind === 'visit') return settled(openJob.id)
  if (openJob) return refuse('This car is in hand for other work. Look at it there.')
  return settled(await openVisit(db, vehicleId, at))
}

const lookSchema = z.strictObject({
  unit: z.string().min(1),
  water: z.enum(WATERS, 'Say what the water does.'),
  feel: z.enum(FEELS).optional(),
  angleDegrees: z
    .number({ error: 'Type the angle as a number of degrees.' })
    .gt(0, 'An angle lies between 0° and 180°.')
    .lt(180, 'An angle lies between 0° and 180°.')
    .optional(),
  cause: z.enum(CAUSES).optional(),
  note: z.string().trim().max(200, 'Keep the note under 200 characters.'),
})
const looksSchema = z.strictObject({
  by: z.string().min(1, 'Say who looks.'),
  cleaned: z.boolean(),
  looks: z.array(lookSchema).min(1, 'Nothing was looked at yet.'),
})
export type TypedLooks = z.input<typeof looksSchema>

/** Keeps what was seen; the outlook moves at once. */
export async function keepLooks(jobId: string, typed: TypedLooks): Promise<VisitAnswer> {
  const read = looksSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refuse(issue!.message, String(issue!.path.at(-1) ?? ''))
  }
  const db = await database()
  const at = now()
  const shop = await loadShop(db)
  const job = await findJob(db, jobId)
  if (job?.kind !== 'visit') return refuse('This visit is no longer there. Reload the page.')
  if (job.handedOverAt) return refuse('The car has gone home. What was seen is kept as it was.')
  const { by, cleaned, looks } = read.data
  if (!everyone(shop.setup).some(({ id }) => id === by)) return refuse('Say who looks.', 'by')
  const { surfaces } = await loadProtection(db, shop, job.vehicle, at)
  const known = new Set([
    ...unitsOf(job.vehicle, 'paint').map(({ id }) => id),
    ...surfaces.map(({ surface }) => surface),
  ])
  if (looks.some(({ unit }) => !known.has(unit))) return refuse('This car has no such part. Reload the page.')
  await db.transaction((trx) =>
    writeLooks(
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
    ),
  )
  await refreshCareDates(db, shop, job.vehicle.id, at)
  return settled()
}

export async function takeLookBack(jobId: string, unit: string): Promise<VisitAnswer> {
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job || job.handedOverAt) return refuse('The car has gone home. What was seen is kept as it was.')
  await dropLook(db, jobId, unit)
  await refreshCareDates(db, await loadShop(db), job.vehicle.id, now())
  return settled()
}

/** Ends the visit of a car that came unannounced: it drives home as it came. */
export async function endVisit(jobId: string): Promise<VisitAnswer> {
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (entry?.stage.kind !== 'to-look')
    return refuse('This visit has steps of its own; hand it over when they are done.')
  await handOver(db, entry.job, [], at)
  await refreshCareDates(db, floor.shop, entry.job.vehicle.id, at)
  return settled()
}

const repairSchema = z.strictObject({
  panels: z.array(z.string()).min(1, 'Choose the panels that are to be coated again.'),
  onGuarantee: z.boolean(),
})
export type TypedRepair = z.input<typeof repairSchema>

async function offerFor(
  visitId: string,
  typed: TypedRepair,
): Promise<{ offer: ShortOffer; vehicleId: string } | { message: string }> {
  const read = repairSchema.safeParse(typed)
  if (!read.success) return { message: read.error.issues[0]!.message }
  const db = await database()
  const at = now()
  const shop = await loadShop(db)
  const visit = await findJob(db, visitId)
  if (!visit) return { message: 'This visit is no longer there. Reload the page.' }
  const protection = await loadProtection(db, shop, visit.vehicle, at)
  const found = failing(protection).filter(({ unit }) => read.data.panels.includes(unit.id))
  const layers = found[0]?.unit.layers ?? protection.surfaces[0]?.products ?? []
  const offer = await repairOffer(db, shop, visit, read.data.panels, layers, read.data.onGuarantee)
  return 'message' in offer ? offer : { offer, vehicleId: visit.vehicle.id }
}

export type RepairDays = {
  days: DayOffered[]
  totalCents: number
  minutes: number
  steps: string[]
  zone: string
}

/** What a repair would be: its steps, its price and the days on which it fits. */
export async function daysForRepair(
  visitId: string,
  typed: TypedRepair,
  from: string,
): Promise<RepairDays | { message: string }> {
  if (!isLocalDay(from)) return { message: 'Choose a day to look from.' }
  const found = await offerFor(visitId, typed)
  if ('message' in found) return found
  const floor = await loadFloor(await database(), now())
  const { plan, price } = found.offer
  return {
    days: daysFor(floor, plan, localDayOrThrow(from)),
    totalCents: price.totalCents,
    minutes: plan.operations.reduce(
      (sum, { mode, minutes, people }) => sum + (mode === 'unattended' ? 0 : minutes * people),
      0,
    ),
    steps: plan.operations.map(({ title }) => title),
    zone: floor.shop.setup.timezone,
  }
}

export async function bookRepair(visitId: string, typed: TypedRepair, day: string): Promise<VisitAnswer> {
  if (!isLocalDay(day)) return refuse('Choose the day on which it comes.', 'day')
  const db = await database()
  const found = await offerFor(visitId, typed)
  if ('message' in found) return refuse(found.message, 'panels')
  if (await repairFrom(db, visitId))
    return refuse('A repair was booked from this visit already. Reload to see it.')
  const names = found.offer.polished.map(({ name }) => name.toLowerCase())
  const booked = await bookShortJob(db, now(), found.offer, {
    vehicleId: found.vehicleId,
    day: localDayOrThrow(day),
    wishes: `Coated again: ${names.join(', ')}.`,
    fromJobId: visitId,
    onGuarantee: typed.onGuarantee,
  })
  return 'message' in booked ? refuse(booked.message, 'day') : settled(booked.jobId)
}

const lifeSchema = z.strictObject({
  odometerKm: z
    .string()
    .trim()
    .regex(/^\d{0,7}$/, 'Write the odometer in whole kilometres, or leave it empty.'),
  storage: z.enum(STORAGES),
  washing: z.enum(WASHINGS),
})
export type TypedLife = z.input<typeof lifeSchema>

/** What an owner tells at a visit of how the car lives; the outlook reckons with it at once. */
export async function keepLife(jobId: string, typed: TypedLife): Promise<VisitAnswer> {
  const read = lifeSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refuse(issue!.message, String(issue!.path[0] ?? ''))
  }
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job || job.handedOverAt) return refuse('The car has gone home. What was told is kept as it was.')
  const { odometerKm, storage, washing } = read.data
  await db.transaction((trx) =>
    writeLife(trx, job, {
      storage,
      washing,
      ...(odometerKm === '' ? {} : { odometerKm: Number(odometerKm) }),
    }),
  )
  await refreshCareDates(db, await loadShop(db), job.vehicle.id, now())
  return settled()
}

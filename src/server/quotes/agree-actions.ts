'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { keptMethod } from '@/core/correction'
import { aJob, id } from '@/core/inputs'
import { type Collecting, chosenOffer, offerCurve } from '@/core/offer'
import { atLocal, isClock, isLocalDay, localDayOrThrow } from '@/core/time'
import { defineAction, defineReadAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadFloor } from '../floor/floor'
import { whyNotPlaced } from '../planning/why-not-placed'
import { agreeQuote, writeOffer } from './agreeing'
import { loadWorked } from './offers'

/** Processes chosen panel by panel, where they are not the package’s own. */
const processesSchema = z.record(id, keptMethod)

/**
 * Agrees a package at the desk: writes the quote as it stands on the screen, and accepts it at once. The job goes on
 * the calendar without moving anybody else. All of it, or nothing.
 */
export const agree = defineAction({
  name: 'quotes.agree',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    packageKey: id,
    shownCents: z.int(),
    processes: processesSchema.optional(),
  }),
  write: async ({ trx, at }, { jobId, packageKey, shownCents, processes }) => {
    const floor = await loadFloor(trx, at)
    const choices = {
      packageKey,
      extras: [],
      terms: { ...floor.shop.setup.terms, discountPercent: 0 },
      ...(processes ? { processes } : {}),
    }
    const written = await writeOffer(trx, floor, jobId, choices, { shownCents, note: '', mustFit: true })
    if ('message' in written) return refuse('rule', written.message)
    const refusal = await agreeQuote(trx, jobId, written.version, at, written.when)
    return refusal ? refuse('rule', refusal.message) : done()
  },
})

/** When the vehicle could be fetched with processes chosen panel by panel; nobody else is moved for it. */
export const collectionFor = defineReadAction({
  name: 'quotes.collection-for',
  who: 'desk',
  input: z.strictObject({ jobId: aJob, packageKey: id, processes: processesSchema }),
  read: async ({ db, at }, { jobId, packageKey, processes }) => {
    const floor = await loadFloor(db, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (!entry) return refuse('gone', ask('job-gone'))
    const { input } = await loadWorked(db, floor.shop, entry.job)
    const { packages, terms } = floor.shop.setup
    const offer = chosenOffer(packages, input, { packageKey, processes, extras: [], terms })
    if (!offer) return refuse('stale', ask('survey-changed'))
    const [when] = await compute('fits', at, entry.job, [offer.plan])
    return when!.kind === 'possible'
      ? done(when!.chances[0]!)
      : refuse('rule', whyNotPlaced(floor, when!.reasons, offer.plan))
  },
})

/** The point, where one is ready by then, and when and how surely it is; or when the least of it would be. */
type Best = { minutes?: number; ready?: Collecting }

/** Points of the curve that are asked about at the most: a curve of a thousand is halved ten times. */
const ASKED_MOST = 12

/**
 * The farthest point of the curve that is ready by a time, and when; nobody else is moved for it. Where not even the first is,
 * it says when that would be.
 */
export const bestBy = defineReadAction({
  name: 'quotes.best-by',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    packageKey: id,
    day: z.string().refine((text): boolean => isLocalDay(text), ask('a-day')),
    time: z.string().refine(isClock, ask('a-time')),
    locks: processesSchema,
  }),
  read: async ({ db, at }, { jobId, packageKey, day, time, locks }) => {
    const floor = await loadFloor(db, at)
    const by = atLocal(floor.shop.setup.region.timezone, localDayOrThrow(day), time)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    const template = floor.shop.setup.packages.find(({ key }) => key === packageKey)
    if (!entry || !template) return refuse('gone', ask('job-gone'))
    const { input } = await loadWorked(db, floor.shop, entry.job)
    const { points, offerAt } = offerCurve(template, input, locks)
    const readyAt = async (index: number) => {
      const { plan } = offerAt(points[index]!.minutes)
      const [when] = await compute('fits', at, entry.job, [plan])
      return when!.kind === 'possible' ? when!.chances[0] : undefined
    }
    const first = await readyAt(0)
    if (!first || first.at > by) return done<Best>(first ? { ready: first } : {})
    let [low, high, best] = [0, points.length - 1, first]
    for (let asked = 0; low < high && asked < ASKED_MOST; asked++) {
      const middle = (low + high + 1) >> 1
      const ready = await readyAt(middle)
      if (ready && ready.at <= by) [low, best] = [middle, ready]
      else high = middle - 1
    }
    return done<Best>({ minutes: points[low]!.minutes, ready: best })
  },
})

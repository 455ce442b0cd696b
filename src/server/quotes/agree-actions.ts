'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { keptMethod } from '@/core/correction'
import { aJob, id } from '@/core/inputs'
import { chosenOffer } from '@/core/offer'
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
      ? done({ collectAt: when!.collectAt })
      : refuse('rule', whyNotPlaced(floor, when!.reasons, offer.plan))
  },
})

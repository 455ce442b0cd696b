import type { Knex } from 'knex'
import { ask } from '@/core/asks'
import type { JobId } from '@/core/ids'
import type { Job } from '@/core/job'
import { type Choices, chosenOffer, type Offer, quoteState, summaryOf } from '@/core/offer'
import { bringTime, type Floor, type PricedOffer } from '@/core/planning'
import { atLocal, dayIn, type Instant, plusDays } from '@/core/time'
import { COATING_RULE } from '@/text/en/coating'
import { toldQuote, type WhenTold } from '@/text/quote'
import { loadFloor } from '../floor/floor'
import { comesThen } from '../floor/job-store'
import { publishFor } from '../planning/plan-store'
import { whyNotPlaced } from '../planning/why-not-placed'
import { writeAgreement } from './agreement-store'
import { loadWorked, whenForPlan } from './offers'
import { decideQuote, listQuotes, writeQuote } from './quote-store'

/** Why nothing was written, in a sentence to act on. */
export type Refusal = { message: string }

type Wanted = { shownCents: number; note: string; mustFit: boolean }

/** Why an offer cannot be made on this car. */
export function offerRefusal(offer: Offer | undefined): Refusal | undefined {
  if (!offer) return { message: ask('process-gone') }
  const stop = offer.breaches.find(({ weight }) => weight === 'stop')
  return stop && { message: `${COATING_RULE[stop.id].reason} ${COATING_RULE[stop.id].remedy}` }
}

/** Works an offer out once more from what stands in the shop now, and keeps it as the next version of the quote. */
export async function writeOffer(
  db: Knex,
  floor: Floor,
  jobId: JobId,
  choices: Choices,
  { shownCents, note, mustFit }: Wanted,
): Promise<{ version: number; when: PricedOffer['when'] } | Refusal> {
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!entry) return { message: ask('job-gone') }
  if (entry.agreement) return { message: ask('agreed-already', { name: entry.agreement.packageName }) }
  if (!entry.surveyed) return { message: ask('unmeasured') }
  const { setup } = floor.shop
  if (!setup.packages.some(({ key }) => key === choices.packageKey)) return { message: ask('package-gone') }
  const { input } = await loadWorked(db, floor.shop, entry.job)
  const offer = chosenOffer(setup.packages, input, choices)
  const refusal = offerRefusal(offer)
  if (refusal || !offer) return refusal!
  if (offer.price.totalCents !== shownCents) return { message: ask('price-changed') }
  const when = whenForPlan(floor, entry.job, offer.plan)
  if (mustFit && when.kind === 'impossible') return { message: whyNotPlaced(floor, when.reasons, offer.plan) }
  const lastDay = plusDays(dayIn(setup.region.timezone, floor.now), choices.terms.validDays + 1)
  const quote = {
    jobId,
    packageKey: choices.packageKey,
    packageName: offer.template.name,
    plan: offer.plan,
    summary: summaryOf(offer),
    choices,
    totalCents: offer.price.totalCents,
    note,
    ...(when.kind === 'possible' ? { couldCollectAt: when.collectAt } : {}),
    writtenAt: floor.now,
    validUntil: atLocal(setup.region.timezone, lastDay, '00:00'),
  }
  const version = await writeQuote(db, quote, (number) =>
    toldQuote({ ...quote, ...whenTold(when, entry.job, floor.now), version: number }, entry.job, setup),
  )
  return { version, when }
}

/** What a customer is told of when: how surely it is ready, and by when to bring a car that is not here yet. */
export function whenTold(
  when: PricedOffer['when'],
  { arriveAt }: Pick<Job, 'arriveAt'>,
  now: Instant,
): WhenTold {
  if (when.kind === 'impossible') return {}
  return { chances: when.chances, ...(arriveAt > now ? { bringBy: bringTime(when.placed) } : {}) }
}

/** Why a quote can no longer be answered. */
export const CLOSED = {
  accepted: ask('quote-accepted'),
  declined: ask('quote-declined'),
  expired: ask('quote-expired'),
  superseded: ask('quote-replaced'),
} as const

/**
 * Accepts a version as it was written, and puts the job on the calendar without moving anybody else. `worked` says when it could be
 * fetched, where that was worked out in the same transaction.
 */
export async function agreeQuote(
  db: Knex,
  jobId: JobId,
  version: number,
  at: Instant,
  worked?: PricedOffer['when'],
): Promise<Refusal | undefined> {
  const floor = await loadFloor(db, at)
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  const quotes = await listQuotes(db, jobId)
  const quote = quotes.find((each) => each.version === version)
  if (!entry || !quote) return { message: ask('quote-gone') }
  if (quote.change) return { message: ask('change-needs-yes') }
  const state = quoteState(quote, quotes.length, at)
  if (state.kind !== 'open') return { message: CLOSED[state.kind] }
  const when = worked ?? whenForPlan(floor, entry.job, quote.plan)
  if (when.kind === 'impossible') return { message: whyNotPlaced(floor, when.reasons, quote.plan) }
  const written = await db.transaction(async (trx) => {
    const agreed = await writeAgreement(trx, {
      jobId,
      version,
      packageKey: quote.packageKey,
      packageName: quote.packageName,
      plan: quote.plan,
      summary: quote.summary,
      totalCents: quote.totalCents,
      promisedFor: when.collectAt,
      chances: when.chances,
      agreedAt: at,
    })
    if (!agreed) return false
    // What is promised is what stands on the calendar: the very place that was just worked out.
    await publishFor(trx, jobId, when.placed, { floor, cause: 'package-agreed' })
    // Whoever was told to bring it by a time brings it then: no later plan may count on it sooner.
    const { bringBy } = whenTold(when, entry.job, at)
    if (bringBy) await comesThen(trx, jobId, { comesAt: bringBy })
    return decideQuote(trx, jobId, version, { said: 'accepted', at, words: '' })
  })
  return written ? undefined : { message: ask('agreed-meanwhile') }
}

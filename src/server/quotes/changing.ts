import type { Knex } from 'knex'
import { ask } from '@/core/asks'
import type { JobId } from '@/core/ids'
import { type LiveJob, stepStates } from '@/core/job'
import {
  type AgreedBy,
  type AgreedNow,
  type Agreement,
  broughtForward,
  type Changed,
  type Choices,
  calledOffAt,
  changeOf,
  chosenOffer,
  isOtherDay,
  type Quote,
  quoteState,
} from '@/core/offer'
import { collectionTime, type Floor, type FloorJob, type PricedOffer } from '@/core/planning'
import { atLocal, dayIn, type Instant, laterOf, plusDays } from '@/core/time'
import { toldQuote, type WhenTold } from '@/text/quote'
import { comesThen, handOver } from '../floor/job-store'
import { listPayments } from '../handover/handover-store'
import { publishFor } from '../planning/plan-store'
import { whyNotPlaced } from '../planning/why-not-placed'
import { loadSurvey } from '../survey/survey-store'
import { CLOSED, offerRefusal, type Refusal } from './agreeing'
import { replaceAgreement } from './agreement-store'
import { loadWorked, whenForJob } from './offers'
import { decideQuote, listQuotes, writeQuote } from './quote-store'
import { namedPhotos } from './shown-photos'
import { loadWorkedBy, marksOf } from './since-agreed'

/** A job that is agreed and not yet handed over: what it is now, and what a change of it is worked out from. */
type Open = { entry: FloorJob; agreement: Agreement; agreed: AgreedNow; quotes: Quote[] }

async function openJob(db: Knex, floor: Floor, jobId: JobId): Promise<Open | Refusal> {
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!entry) return { message: ask('job-gone') }
  if (entry.job.handedOverAt) return { message: ask('home-already') }
  if (!entry.agreement || !entry.live) return { message: ask('nothing-agreed') }
  const quotes = await listQuotes(db, jobId)
  const states = stepStates(entry.live, floor.now)
  const agreed: AgreedNow = {
    ...entry.agreement,
    stateOf: (id) => states[id] ?? 'open',
    version: quotes.length + 1,
    workedBy: await loadWorkedBy(db, entry.live),
  }
  return { entry, agreement: entry.agreement, agreed, quotes }
}

/** A change worked out from what stands in the shop now, and when the car could be fetched with it; nobody else is moved. */
export async function workOutChange(
  db: Knex,
  floor: Floor,
  jobId: JobId,
  choices: Choices,
): Promise<{ open: Open; changed: Changed; packageName: string; when: PricedOffer['when'] } | Refusal> {
  const open = await openJob(db, floor, jobId)
  if ('message' in open) return open
  const { entry, agreed } = open
  const { setup } = floor.shop
  if (!setup.packages.some(({ key }) => key === choices.packageKey)) return { message: ask('package-gone') }
  const { input } = await loadWorked(db, floor.shop, entry.job)
  const offer = chosenOffer(setup.packages, { ...input, pace: agreed.summary.pace }, choices)
  const refusal = offerRefusal(offer)
  if (refusal || !offer) return refusal!
  const charges = { rates: setup.rates, terms: choices.terms, customerTax: entry.job.customer.tax }
  const moved = isOtherDay(choices, entry.job)
  const fault = moved && whyNotThen(floor, entry, choices)
  if (fault) return { message: fault }
  const change = { ...agreed, holds: choices.processes !== undefined, otherDay: moved }
  const changed = changeOf(offer, change, charges, floor.shop.catalogue)
  if (typeof changed === 'string') return { message: ask(changed) }
  const when = whenForJob(floor, { ...comingThen(entry.live!, choices), plan: changed.plan })
  return { open, changed, packageName: offer.template.name, when }
}

/** A car that is here does not come on another day, and no day that has passed is chosen. */
function whyNotThen({ now, shop }: Floor, { live }: FloorJob, { comesAt, wantedBy }: Choices) {
  const isHere = Object.keys(live?.progress ?? {}).length > 0
  if (comesAt && isHere) return ask('here-already')
  if (comesAt && comesAt <= now) return ask('past-day')
  const { timezone } = shop.setup.region
  return wantedBy && wantedBy < dayIn(timezone, comesAt ?? now) ? ask('before-arrival') : undefined
}

const comingThen = (live: LiveJob, { comesAt }: Choices): LiveJob =>
  comesAt ? { ...live, arrive: comesAt } : live

export type ChangeWords = { found: string; otherwise: string; note: string; photos: readonly string[] }

/** Keeps a change as the next version, to be told to the customer; nothing holds before they have said yes. */
export async function writeChange(
  db: Knex,
  floor: Floor,
  jobId: JobId,
  choices: Choices,
  { shownCents, ...words }: ChangeWords & { shownCents: number },
): Promise<{ version: number } | Refusal> {
  const worked = await workOutChange(db, floor, jobId, choices)
  if ('message' in worked) return worked
  const { changed, when, open, packageName } = worked
  if (changed.price.totalCents !== shownCents) return { message: ask('price-changed') }
  if (when.kind === 'impossible') return { message: whyNotPlaced(floor, when.reasons, changed.plan) }
  const version = await write(db, floor, open, changed, {
    choices,
    packageName,
    callsOff: false,
    couldCollectAt: when.collectAt,
    chances: when.chances,
    ...words,
  })
  return { version }
}

type ToWrite = ChangeWords & {
  choices: Choices
  packageName: string
  callsOff: boolean
  couldCollectAt?: Instant
} & WhenTold

async function write(
  db: Knex,
  floor: Floor,
  { entry, agreement }: Open,
  { plan, summary, price }: Changed,
  { choices, packageName, found, otherwise, note, photos, callsOff, couldCollectAt, chances }: ToWrite,
): Promise<number> {
  const { setup } = floor.shop
  const lastDay = plusDays(dayIn(setup.region.timezone, floor.now), choices.terms.validDays + 1)
  const marks = marksOf((await loadSurvey(db, entry.job.id)).found)
  const shown = (await namedPhotos(db, entry.job.id))
    .filter(({ id }) => photos.includes(id))
    .map(({ hash, place, shows, name }) => ({
      hash,
      place,
      ...(shows ? { shows } : {}),
      ...(name ? { name } : {}),
    }))
  const quote = {
    jobId: entry.job.id,
    packageKey: choices.packageKey,
    packageName,
    plan,
    summary,
    choices,
    totalCents: price.totalCents,
    note,
    ...(couldCollectAt ? { couldCollectAt } : {}),
    writtenAt: floor.now,
    validUntil: atLocal(setup.region.timezone, lastDay, '00:00'),
    change: { from: agreement.version ?? 0, found, otherwise, callsOff, photos: shown, marks },
  }
  return writeQuote(db, quote, (number) =>
    toldQuote({ ...quote, ...(chances ? { chances } : {}), version: number }, entry.job, setup, agreement),
  )
}

/** The customer has said yes to a change: it is agreed as it was written, and goes on the calendar without moving anybody else. */
export async function agreeChange(
  db: Knex,
  floor: Floor,
  jobId: JobId,
  version: number,
  { at, agreedBy }: { at: Instant; agreedBy: AgreedBy },
): Promise<Refusal | undefined> {
  const open = await openJob(db, floor, jobId)
  if ('message' in open) return open
  const { entry, agreement, agreed, quotes } = open
  const quote = quotes.find((each) => each.version === version)
  if (!quote?.change) return { message: ask('quote-gone') }
  const state = quoteState(quote, quotes.length, floor.now)
  if (state.kind !== 'open') return { message: CLOSED[state.kind] }
  if (quote.change.from !== (agreement.version ?? 0)) return { message: ask('change-overtaken') }
  const standing = { ...agreed, processes: agreed.summary.processes }
  const plan = broughtForward(quote.plan, standing, floor.shop.catalogue)
  if (!plan) return { message: ask('work-went-on') }
  const isLate = quote.choices.comesAt && whyNotThen(floor, entry, quote.choices)
  if (isLate) return { message: isLate }
  const when = whenForJob(floor, { ...comingThen(entry.live!, quote.choices), plan })
  if (when.kind === 'impossible') return { message: whyNotPlaced(floor, when.reasons, plan) }
  const { packageKey, packageName, summary, totalCents } = quote
  const wasDecided = await decideQuote(db, jobId, version, { said: 'accepted', at, words: '', agreedBy })
  if (!wasDecided) return { message: ask('answered-already') }
  await replaceAgreement(db, {
    jobId,
    version,
    packageKey,
    packageName,
    plan,
    summary,
    totalCents,
    promisedFor: when.collectAt,
    chances: when.chances,
  })
  if (isOtherDay(quote.choices, entry.job)) await comesThen(db, jobId, quote.choices)
  await publishFor(db, jobId, when.placed, { floor, cause: 'agreement-changed' })
  return undefined
}

/** What is not done is called off; what was done is charged as it was agreed, and the bay is free. */
export async function callOff(
  db: Knex,
  floor: Floor,
  jobId: JobId,
  { found, from, at, agreedBy }: { found: string; from: number; at: Instant; agreedBy: AgreedBy },
): Promise<Refusal | undefined> {
  const open = await openJob(db, floor, jobId)
  if ('message' in open) return open
  const { entry, agreement, agreed, quotes } = open
  if (from !== (agreement.version ?? 0)) return { message: ask('change-overtaken') }
  if (agreed.plan.operations.some(({ id, mode }) => mode !== 'unattended' && agreed.stateOf(id) === 'begun'))
    return { message: ask('work-under-way') }
  const { setup } = floor.shop
  const of = quotes.find((each) => each.version === agreement.version)
  const choices = of?.choices ?? { packageKey: agreement.packageKey, extras: [], terms: setup.terms }
  const charges = { rates: setup.rates, terms: choices.terms, customerTax: entry.job.customer.tax }
  const off = calledOffAt(agreed, charges)
  const words = { found, otherwise: '', note: '', photos: [] }
  const { packageName, packageKey } = agreement
  const version = await write(db, floor, open, off, { choices, packageName, callsOff: true, ...words })
  await decideQuote(db, jobId, version, { said: 'accepted', at, words: '', agreedBy })
  const placed = (entry.live?.published ?? []).filter(({ operation }) =>
    off.plan.operations.some(({ id }) => id === operation),
  )
  const ended = placed.map(({ end }) => end).reduce(laterOf, floor.now)
  await replaceAgreement(db, {
    jobId,
    version,
    packageKey,
    packageName,
    plan: off.plan,
    summary: off.summary,
    totalCents: off.price.totalCents,
    promisedFor: collectionTime(setup, ended),
  })
  await db('published').where({ job_id: jobId }).delete()
  await publishFor(db, jobId, placed, { floor, cause: 'called-off' })
  // A car that never came, and for which nothing was paid, has nothing to be handed over.
  const isHere = entry.job.arriveAt <= floor.now || off.plan.operations.length > 0
  if (!isHere && (await listPayments(db, jobId)).length === 0) await handOver(db, entry.job, [], floor.now)
  return undefined
}

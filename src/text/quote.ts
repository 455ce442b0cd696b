import type { Job } from '@/core/job'
import type { Collecting, JobPlan, Quote, QuoteText, Summary } from '@/core/offer'
import { type Language, type Region, readIn } from '@/core/region'
import type { Setup } from '@/core/shop'
import { dayIn, type Instant, plusMinutes } from '@/core/time'
import { chanceText } from './chance'
import { expectationText } from './expectation'
import { clock, money, paperDay, percent } from './formats'
import { lineOrigin, lineText, protectionLines, sumRows, workLines } from './quote-lines'
import { quoteWords } from './quote-words'
import { RECIPES_HEADING, recipeLines } from './recipes'
import { type ChangeTold, changeText, titleWords } from './supplement'

/** A quote in the customer’s language: every line of it, for the screen and for the PDF alike, as it is kept. */

type Told = {
  shop: string
  pitch: string
  customer: string
  jobNumber: number
  summary: Summary
  operations: JobPlan['operations']
  totalCents: number
  change?: ChangeTold
  depositPercent: number
}

/** When the car is ready, with which chance, and by when it has to be there for that. */
export type WhenTold = { chances?: readonly Collecting[]; bringBy?: Instant }

/** Of a version that is written, or of one that is still being chosen. */
export type QuoteState =
  | ({
      kind: 'written'
      version: number
      writtenAt: Instant
      validUntil: Instant
      couldCollectAt?: Instant
    } & WhenTold)
  | { kind: 'draft'; validDays: number }

function aboutText(region: Region, state: QuoteState, jobNumber: number, change: ChangeTold | undefined) {
  const words = quoteWords(region)
  const day = (at: Instant) => paperDay(region, dayIn(region.timezone, at))
  if (state.kind === 'draft')
    return {
      title: change ? words.change.draft : words.draft,
      about: `${words.job(jobNumber)}. ${words.validFor(state.validDays)}`,
    }
  return {
    title: titleWords(words, change)(state.version, day(state.writtenAt)),
    // It ends with the midnight after its last day.
    about: change?.callsOff
      ? `${words.job(jobNumber)}.`
      : `${words.job(jobNumber)}. ${words.validUntil(day(plusMinutes(state.validUntil, -1)))}`,
    ...(state.couldCollectAt ? { collection: collectionText(region, state, change !== undefined) } : {}),
  }
}

/** When the car could be collected, and when it would have to come. */
function collectionText(
  region: Region,
  { couldCollectAt, chances, bringBy }: WhenTold & { couldCollectAt?: Instant },
  isChange: boolean,
): string {
  const words = quoteWords(region)
  const day = (at: Instant) => paperDay(region, dayIn(region.timezone, at))
  const [promised, surer] = chances
    ? chances.map(({ at, chance }) => words.readyOn(day(at), clock(region, at), chanceText(region, chance)))
    : [words.readyOn(day(couldCollectAt!), clock(region, couldCollectAt!))]
  return [
    ...(bringBy ? [words.bringBy(day(bringBy), clock(region, bringBy))] : []),
    (isChange ? words.change : words).couldCollect(promised!, surer),
  ].join(' ')
}

/** The technical lines, where anything is polished. */
function technicalOf(region: Region, summary: Summary): Pick<QuoteText, 'technical'> {
  const lines = recipeLines(region, summary)
  return lines.length > 0 ? { technical: { heading: RECIPES_HEADING[region.language], lines } } : {}
}

export function quoteText(region: Region, told: Told, state: QuoteState): QuoteText {
  const words = quoteWords(region)
  const { summary } = told
  const isOff = told.change?.callsOff === true
  return {
    language: region.language,
    headings: words.headings,
    ...aboutText(region, state, told.jobNumber, told.change),
    ...changeText(region, told),
    pitch: told.pitch,
    forCustomer: words.forCustomer(told.customer),
    expectation: (isOff ? [] : summary.expectation).map((each) => ({
      kind: each.kind,
      text: expectationText(region, each),
    })),
    work: isOff ? [] : workLines(region, summary),
    protection: protectionLines(region, summary),
    ...technicalOf(region, summary),
    rows: summary.priceLines.map((line) => {
      const origin = lineOrigin(region, line, told.operations)
      return {
        name: lineText(region, line),
        ...(origin ? { origin } : {}),
        amount: money(region, line.cents),
      }
    }),
    sums: isOff && told.totalCents === 0 ? [] : sumRows(region, summary),
    total: { name: words.total, amount: money(region, told.totalCents) },
    // What was agreed before the work is not asked for once more.
    ...(summary.depositCents > 0 && !told.change
      ? {
          deposit: {
            name: words.deposit(percent(region, told.depositPercent, 2)),
            amount: money(region, summary.depositCents),
          },
        }
      : {}),
    accepted: words.accepted(told.customer),
    forShop: words.forShop(told.shop),
  }
}

/** What a package is for, in a customer’s language; nothing where the shop has not put it into that, or sells it no more. */
export const pitchOf = ({ packages }: Pick<Setup, 'packages'>, key: string, language: Language): string =>
  packages.find((template) => template.key === key)?.pitch[language] ?? ''

/** The other time at which the car comes. */
export const comesTold = (
  { comesAt }: { comesAt?: Instant | undefined },
  { arriveAt }: Pick<Job, 'arriveAt'>,
): Pick<ChangeTold, 'comes'> =>
  comesAt && comesAt !== arriveAt ? { comes: { before: arriveAt, after: comesAt } } : {}

/** A version in the words of today and of its customer. */
export function toldQuote(
  quote: Pick<
    Quote,
    | 'version'
    | 'packageKey'
    | 'summary'
    | 'plan'
    | 'totalCents'
    | 'choices'
    | 'writtenAt'
    | 'validUntil'
    | 'couldCollectAt'
    | 'change'
  > &
    WhenTold,
  job: Pick<Job, 'number' | 'customer' | 'arriveAt'>,
  setup: Pick<Setup, 'name' | 'region' | 'packages'>,
  agreed?: ChangeTold['agreed'],
): QuoteText {
  const { language } = job.customer
  return quoteText(
    readIn(setup.region, language),
    {
      shop: setup.name,
      pitch: pitchOf(setup, quote.packageKey, language),
      customer: job.customer.name,
      jobNumber: job.number,
      summary: quote.summary,
      operations: quote.plan.operations,
      totalCents: quote.totalCents,
      depositPercent: quote.choices.terms.depositPercent,
      ...(quote.change && agreed
        ? { change: { ...quote.change, agreed, ...comesTold(quote.choices, job) } }
        : {}),
    },
    { kind: 'written', ...quote },
  )
}

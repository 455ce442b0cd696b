import type { Job } from '@/core/job'
import {
  type Agreement,
  type JobPlan,
  lineChanges,
  type PriceLine,
  type Quote,
  type QuoteChange,
  type QuoteRow,
  type QuoteText,
  type Summary,
  taxParts,
} from '@/core/offer'
import { type Language, type Region, readIn } from '@/core/region'
import { unreachable } from '@/core/result'
import type { Setup } from '@/core/shop'
import { dayIn, type Instant, plusMinutes } from '@/core/time'
import { quoteInGerman } from './de/quote'
import { quoteInEnglish } from './en/quote'
import { expectationText } from './expectation'
import { extraPieces } from './extra-pieces'
import { clock, duration, list, measured, money, paperDay, percent } from './formats'
import { quoteInFrench } from './fr/quote'
import { placeName } from './panels'
import { RECIPES_HEADING, recipeLines } from './recipes'
import { title } from './title'
import { methodName, surfaceTitle, tradeTitle, workWords } from './work'

/** A quote in the customer’s language: every line of it, for the screen and for the PDF alike, as it is kept. */

export type QuoteWords = {
  headings: QuoteText['headings']
  /** Of a version, and of what is not kept yet. */
  title: (version: number, day: string) => string
  draft: string
  forCustomer: (name: string) => string
  job: (number: number) => string
  validUntil: (day: string) => string
  validFor: (days: number) => string
  couldCollect: (day: string, time: string) => string
  wash: string
  on: (process: string, panels: string) => string
  everyPanel: string
  cleanedOnly: (panels: string) => string
  afterwards: string
  applied: (surface: string, products: string) => string
  excludingTax: (tax: string) => string
  includedTax: (tax: string, percent: string) => string
  noTax: (tax: string) => string
  total: string
  deposit: (percent: string) => string
  consumables: string
  discount: (percent: string) => string
  by: (trade: string, name: string) => string
  accepted: (name: string) => string
  forShop: (shop: string) => string
  change: ChangeWords
}

/** What a supplement says beside a quote. */
export type ChangeWords = {
  draft: string
  title: (version: number, day: string) => string
  calledOff: (version: number, day: string) => string
  of: (day: string) => string
  ofCalledOff: (day: string) => string
  found: string
  why: string
  otherwise: string
  heading: string
  dropped: (line: string) => string
  before: string
  difference: string
  couldCollect: (day: string, time: string) => string
}

const IN: Record<Language, QuoteWords> = { en: quoteInEnglish, fr: quoteInFrench, de: quoteInGerman }
export const quoteWords = ({ language }: Pick<Region, 'language'>): QuoteWords => IN[language]

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

/** Of a version that is written, or of one that is still being chosen. */
export type QuoteState =
  | { kind: 'written'; version: number; writtenAt: Instant; validUntil: Instant; couldCollectAt?: Instant }
  | { kind: 'draft'; validDays: number }

/** What a supplement changes: the agreement that stands, and the words of whoever found more. */
export type ChangeTold = Pick<QuoteChange, 'found' | 'otherwise' | 'callsOff'> & {
  agreed: Pick<Agreement, 'summary' | 'totalCents' | 'agreedAt'>
}

/** Panels by what is done to them, the strongest first; those left alone apart. */
function panelsByProcess({ panels }: Summary) {
  const byProcess = new Map<Summary['panels'][number]['process'], Summary['panels']>()
  for (const panel of panels) byProcess.set(panel.process, [...(byProcess.get(panel.process) ?? []), panel])
  const worked = [...byProcess].flatMap(([process, own]) => (process === 'leave' ? [] : [{ process, own }]))
  return {
    worked: worked.toSorted((a, b) => b.own[0]!.takesUm - a.own[0]!.takesUm),
    left: byProcess.get('leave') ?? [],
  }
}

/** What is done, in the order of the work. */
export function workLines(region: Region, summary: Summary): string[] {
  const [words, work] = [quoteWords(region), workWords(region)]
  const { worked, left } = panelsByProcess(summary)
  const named = (panels: Summary['panels']) =>
    list(
      region,
      panels.map(({ id }) => placeName(region, id)),
    )
  return [
    words.wash,
    ...worked.map(({ process, own }) =>
      title(
        region,
        words.on(
          methodName(region, process, summary.works),
          own.length === summary.panels.length ? words.everyPanel : named(own),
        ),
      ),
    ),
    ...(left.length > 0 && worked.length > 0 ? [words.cleanedOnly(named(left))] : []),
    ...besideLines(region, summary),
    ...(worked.length > 0 ? [work.care[summary.care]] : []),
  ]
}

/** What is done beside the paint, and by whom else: every extra and everybody called in, as the price has them. */
function besideLines(region: Region, { priceLines }: Summary): string[] {
  return priceLines.flatMap((line) => {
    if (line.kind === 'vendor')
      return [`${quoteWords(region).by(tradeTitle(region, line.trade), line.name)}.`]
    if (line.kind === 'one-off') return [`${line.words}.`]
    return line.kind === 'extra' ? [`${extraPieces(region, line)}.`] : []
  })
}

/** What is applied to which surface. */
export function protectionLines(region: Region, { coats }: Summary): string[] {
  const words = quoteWords(region)
  const paint = coats.filter(({ surface }) => surface === 'paint').map(({ product }) => product)
  const beside = coats.filter(({ surface }) => surface !== 'paint')
  return [
    ...(paint.length > 0
      ? [words.applied(surfaceTitle(region, 'paint'), paint.join(`, ${words.afterwards} `))]
      : []),
    ...beside.map(({ surface, product }) => words.applied(surfaceTitle(region, surface), product)),
  ]
}

/** One line of the price. */
export function lineText(region: Region, line: PriceLine): string {
  const words = quoteWords(region)
  switch (line.kind) {
    case 'labour':
      return `${title(region, workWords(region).skill[line.skill])}, ${duration(region, line.minutes)}`
    case 'product':
      return `${line.name}, ${measured(region, 'volume', line.ml)}`
    case 'consumables':
      return words.consumables
    case 'extra':
      return `${extraPieces(region, line)}, ${duration(region, line.minutes)}`
    case 'one-off':
      return line.minutes > 0 ? `${line.words}, ${duration(region, line.minutes)}` : line.words
    case 'vendor':
      return words.by(tradeTitle(region, line.trade), line.name)
    case 'discount':
      return words.discount(percent(region, line.percent, 2))
    default:
      return unreachable(line)
  }
}

/** What the hours of a line are made of: a few words for what is done, with its minutes. */
export function lineOrigin(region: Region, line: PriceLine, operations: JobPlan['operations']): string {
  if (line.kind !== 'labour') return ''
  const minutes = new Map<string, number>()
  for (const operation of operations.filter(({ id }) => line.operations.includes(id))) {
    const { activity: activities, buffing } = workWords(region)
    const { title } = operation
    const isBuffing = typeof title === 'object' && title.code === 'buff'
    const activity = isBuffing ? buffing : activities[operation.kind]
    minutes.set(activity, (minutes.get(activity) ?? 0) + operation.minutes * operation.people)
  }
  return [...minutes].map(([activity, took]) => `${activity} ${duration(region, took)}`).join(', ')
}

/** What is called otherwise in each language. */
const VALUE_ADDED: Record<Language, string> = { en: 'VAT', fr: 'TVA', de: 'MwSt.' }

/** A tax by the name the shop gives it; one that every language has a name for by the reader’s. */
export const taxName = ({ language }: Pick<Region, 'language'>, name: string = VALUE_ADDED.en) =>
  Object.values(VALUE_ADDED).includes(name) ? VALUE_ADDED[language] : name

/** What it is before tax, and each tax; or the taxes it contains. */
export function sumRows(
  region: Region,
  summary: Pick<Summary, 'netCents' | 'taxCents' | 'taxPercent' | 'taxName' | 'taxes' | 'taxIncluded'>,
): QuoteRow[] {
  const words = quoteWords(region)
  const tax = taxName(region, summary.taxName)
  const parts = taxParts(summary).map(({ percent: rate, cents }) => ({
    name: summary.taxIncluded
      ? words.includedTax(tax, percent(region, rate, 3))
      : `${tax} ${percent(region, rate, 3)}`,
    amount: money(region, cents),
  }))
  if (parts.length === 0) return [{ name: words.noTax(tax), amount: money(region, 0) }]
  return summary.taxIncluded
    ? parts
    : [{ name: words.excludingTax(tax), amount: money(region, summary.netCents) }, ...parts]
}

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
    ...(state.couldCollectAt
      ? {
          collection: (change ? words.change : words).couldCollect(
            day(state.couldCollectAt),
            clock(region, state.couldCollectAt),
          ),
        }
      : {}),
  }
}

const titleWords = (words: QuoteWords, change: ChangeTold | undefined) =>
  change ? (change.callsOff ? words.change.calledOff : words.change.title) : words.title

/** The part of a supplement that a first quote does not have: the lines that differ add up to the difference, before tax or with it. */
function changeText(region: Region, { summary, totalCents, change }: Told): Pick<QuoteText, 'change'> {
  if (!change) return {}
  const { agreed, found, otherwise, callsOff } = change
  const words = quoteWords(region).change
  const taxCents = summary.taxCents - agreed.summary.taxCents
  const signed = (cents: number) => `${cents > 0 ? '+' : ''}${money(region, cents)}`
  const sections = [
    { heading: callsOff ? words.why : words.found, text: found },
    { heading: words.otherwise, text: otherwise },
  ]
  return {
    change: {
      of: (callsOff ? words.ofCalledOff : words.of)(
        paperDay(region, dayIn(region.timezone, agreed.agreedAt)),
      ),
      sections: sections.filter(({ text }) => text.length > 0),
      heading: words.heading,
      rows: lineChanges(agreed.summary.priceLines, summary.priceLines).map(
        ({ line, beforeCents, afterCents }) => ({
          name: afterCents === 0 ? words.dropped(lineText(region, line)) : lineText(region, line),
          amount: signed(afterCents - beforeCents),
        }),
      ),
      sums: [
        ...(taxCents === 0 || summary.taxIncluded
          ? []
          : [{ name: taxName(region, summary.taxName), amount: signed(taxCents) }]),
        { name: words.before, amount: money(region, agreed.totalCents) },
        { name: words.difference, amount: signed(totalCents - agreed.totalCents) },
      ],
    },
  }
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
    ...(summary.depositCents > 0
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
  >,
  job: Pick<Job, 'number' | 'customer'>,
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
      ...(quote.change && agreed ? { change: { ...quote.change, agreed } } : {}),
    },
    { kind: 'written', ...quote },
  )
}

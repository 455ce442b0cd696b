import type { QuoteText } from '@/core/offer'
import type { Language, Region } from '@/core/region'
import { quoteInGerman } from './de/quote'
import { quoteInEnglish } from './en/quote'
import { quoteInFrench } from './fr/quote'

/** The words of quotes and supplements in each language. */

export type QuoteWords = {
  headings: QuoteText['headings']
  /** Of a version, and of what is not kept yet. */
  title: (version: number, day: string) => string
  draft: string
  forCustomer: (name: string) => string
  job: (number: number) => string
  validUntil: (day: string) => string
  validFor: (days: number) => string
  /** A time at which it is ready, and how sure that is. */
  readyOn: (day: string, time: string, chance?: string) => string
  /** Of such times: what would be promised, and one that is surer. */
  couldCollect: (promised: string, surer?: string) => string
  bringBy: (day: string, time: string) => string
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
  comes: string
  comesThen: (moment: string, before: string) => string
  heading: string
  dropped: (line: string) => string
  before: string
  difference: string
  couldCollect: (promised: string, surer?: string) => string
}

const IN: Record<Language, QuoteWords> = { en: quoteInEnglish, fr: quoteInFrench, de: quoteInGerman }
export const quoteWords = ({ language }: Pick<Region, 'language'>): QuoteWords => IN[language]

/** What is called otherwise in each language. */
const VALUE_ADDED: Record<Language, string> = { en: 'VAT', fr: 'TVA', de: 'MwSt.' }

/** A tax by the name the shop gives it; one that every language has a name for by the reader’s. */
export const taxName = ({ language }: Pick<Region, 'language'>, name: string = VALUE_ADDED.en) =>
  Object.values(VALUE_ADDED).includes(name) ? VALUE_ADDED[language] : name

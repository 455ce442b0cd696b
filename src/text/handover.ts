import type { PaymentWay } from '@/core/handover'
import type { LayerPart } from '@/core/offer'
import type { Language, Region } from '@/core/region'
import { handoverInGerman } from './de/handover'
import { handoverInEnglish } from './en/handover'
import { handoverInFrench } from './fr/handover'

/** The sheet that is handed over with a car. */

export type HandoverWords = {
  headings: {
    handover: string
    result: string
    remains: string
    panels: string
    /** What was done beside the paint. */
    beside: string
    coatings: string
    inspection: string
    weeksAhead: string
    payment: string
  }
  columns: {
    name: string
    process: string
    film: (unit: string) => string
    taken: (unit: string) => string
    gloss: string
    seen: string
  }
  /** What the short jobs of the years after are called. */
  shortJob: Record<'visit' | 'repair', string>
  title: (packageName: string, job: number, day: string) => string
  noPolishing: string
  /** A reading before and after; the fonts of a PDF have no arrow. */
  change: (before: string, after: string) => string
  /** Before it is done. */
  planned: (process: string) => string
  /** Readings after the work that lie no lower than before. */
  noLoss: string
  notFinished: string
  notMeasured: string
  passed: string
  cleared: (percent: string) => string
  expected: (facts: { before: string; after: string; percent: string }) => string
  reached: (percent: string) => string
  short: (panels: string) => string
  layer: (facts: {
    number: number
    product: string
    lot: string
    moment: string
    by: string
    air: string
    humidity: string
    panel: string
  }) => string
  /** Of a layer that was applied part by part. */
  part: (part: LayerPart) => string
  /** Of a layer on a panel that was done again. */
  again: (place: string) => string
  highSpot: Record<'re-wet' | 'polished', (panel: string) => string>
  /** Whether they had no hand in the paint; else there was a night between. */
  inspected: (people: string, isFresh: boolean) => string
  reworked: (places: number) => string
  notInspected: string
  /** Of a car that went home without one. */
  neverInspected: string
  /** With the tax in it, where there is any. */
  agreed: (amount: string, tax: string | undefined) => string
  paid: (amount: string, way: string, day: string) => string
  way: Record<PaymentWay, string>
  due: (amount: string) => string
  overpaid: (amount: string) => string
  paidInFull: string
  wheels: string
  /** With the torque, in its unit, and the number of the wrench. */
  tightened: (torque: string, wrench: string) => string
  /** That it left before its coat may get wet: who signed, and until when it was to stay dry. */
  letGo: (name: string, until: string) => string
  dataSheets: string
  received: (name: string) => string
}

const IN: Record<Language, HandoverWords> = {
  en: handoverInEnglish,
  fr: handoverInFrench,
  de: handoverInGerman,
}

export const handoverWords = ({ language }: Pick<Region, 'language'>): HandoverWords => IN[language]

import type {
  Expectation,
  FormerlyTold,
  InspectedShare,
  LimitingPaint,
  RemainingCode,
  WhyLeft,
} from '@/core/offer'
import type { Language, Region } from '@/core/region'
import type { OnPanels } from '@/core/survey'
import { expectationInGerman } from './de/expectation'
import { expectationInEnglish } from './en/expectation'
import { expectationInFrench } from './fr/expectation'
import { inItsSpelling } from './spelling'

/** What a customer may expect of an offer, in sentences. */

export type ExpectationWords = {
  partly: (share: InspectedShare) => string
  result: {
    [Code in Extract<Expectation, { kind: 'result' }>['code']]: (
      facts: Extract<Expectation, { kind: 'result'; code: Code }>,
      region: Region,
    ) => string
  }
  paint: Record<LimitingPaint, string>
  left: (why: WhyLeft, at: OnPanels, region: Region) => string
  remains: Record<RemainingCode, (at: OnPanels, region: Region) => string>
  bestFinish: string
  someOnly: string
  gloss: (targetGu: string) => string
  coating: (life: string) => string
  seasonal: (life: string) => string
}

const IN: Record<Language, ExpectationWords> = {
  en: expectationInEnglish,
  fr: expectationInFrench,
  de: expectationInGerman,
}

const YEAR_MONTHS = 12

/** Years where they are whole, else months, as the language counts them. */
function lifeText({ language }: Region, months: number): string {
  const inYears = months % YEAR_MONTHS === 0
  return new Intl.NumberFormat(language, {
    style: 'unit',
    unit: inYears ? 'year' : 'month',
    unitDisplay: 'long',
  }).format(inYears ? months / YEAR_MONTHS : months)
}

/** How much of the car was inspected, where that is not all of it. */
export function partlyText(region: Region, share: InspectedShare | undefined): string | undefined {
  return share && share.panels > 0 && share.panels < share.of ? IN[region.language].partly(share) : undefined
}

export const expectationText = (region: Region, told: Expectation | FormerlyTold): string =>
  'text' in told ? told.text : inItsSpelling(region, inWords(region, told))

function inWords(region: Region, told: Expectation): string {
  const words = IN[region.language]
  switch (told.code) {
    case 'paint':
      return words.paint[told.paint]
    case 'left':
      return words.left(told.why, told, region)
    case 'best-finish':
      return words.bestFinish
    case 'some-only':
      return words.someOnly
    case 'gloss':
      return words.gloss(String(told.targetGu))
    case 'coating':
    case 'seasonal':
      return words[told.code](lifeText(region, Math.round(told.lifeMonths)))
    case 'not-inspected':
    case 'flawless':
    case 'no-gain':
    case 'slight':
    case 'improved':
      return (words.result[told.code] as (facts: Expectation, region: Region) => string)(told, region)
    default:
      return words.remains[told.code](told, region)
  }
}

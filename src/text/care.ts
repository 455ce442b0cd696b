import type { CareDate, CareRuleId, Milestone, VisitReason, Worded } from '@/core/aftercare'
import type { Language, Region } from '@/core/region'
import { careInGerman } from './de/care'
import { careInEnglish } from './en/care'
import { termsOf } from './en/terms'
import { careInFrench } from './fr/care'

/** What an owner and the shop read of the care of a car: dates of the cure, the year ahead, what to do and to avoid. */

export type Said = { title: string; advice: string }
export type SaidWithReason = Said & { reason: string }
export type Rule = { text: string; reason: string }

export type CareWords = {
  milestone: Record<Milestone['key'], Said>
  date: {
    [Kind in CareDate['kind']]: (date: Extract<CareDate, { kind: Kind }>, region: Region) => SaidWithReason
  }
  visitReason: Record<VisitReason, string>
  rule: Record<CareRuleId, (facts: { guaranteed: boolean }) => Rule>
  do: string
  avoid: string
  /** What holds before the rules of the years: while one of the first dates still runs. Stands under `avoid`. */
  firstDays: string
  when: {
    until: (moment: string) => string
    over: (moment: string) => string
    from: (day: string) => string
    span: (first: string, last: string) => string
  }
}

const IN: Record<Language, (region: Region) => CareWords> = {
  en: (region) => careInEnglish(termsOf(region)),
  fr: () => careInFrench,
  de: () => careInGerman,
}

export const careWords = (region: Region): CareWords => IN[region.language](region)

/** A date of the year ahead, in the reader’s language. */
export function saidOf(region: Region, date: CareDate): SaidWithReason {
  const say = careWords(region).date[date.kind] as (date: CareDate, region: Region) => SaidWithReason
  return say(date, region)
}

/** Dates of the cure and of the year with their words, as a calendar file carries them. */
export const wordedMilestone = (region: Region, milestone: Milestone): Worded<Milestone> => {
  const { title, advice } = careWords(region).milestone[milestone.key]
  return { ...milestone, title, text: advice }
}
export const wordedDate = (region: Region, date: CareDate): Worded<CareDate> => {
  const { title, advice, reason } = saidOf(region, date)
  return { ...date, title, text: `${advice} ${reason}` }
}

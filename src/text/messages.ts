import type { DueMessage, Facts, Occasion, Template } from '@/core/messages'
import { type Language, type Region, readIn } from '@/core/region'
import type { LocalDay } from '@/core/time'
import { messagesInGerman } from './de/messages'
import { messagesInEnglish } from './en/messages'
import { paperDay } from './formats'
import { messagesInFrench } from './fr/messages'

/** Messages as they come with the shop; it may put words of its own in their place. */

export type MessageWords = {
  standard: Record<Occasion, Template>
  /** What stands for {guarantee}, where the coating has one that hangs on visits. */
  guarantee: Record<'visit-due' | 'visit-overdue', string>
  /** What stands for {words} where a repair is booked. */
  repair: (day: string, onGuarantee: boolean) => string
}

const IN: Record<Language, MessageWords> = {
  en: messagesInEnglish,
  fr: messagesInFrench,
  de: messagesInGerman,
}

export const standardText = (occasion: Occasion, language: Language): Template =>
  IN[language].standard[occasion]

export const repairText = (region: Region, day: LocalDay, onGuarantee: boolean) =>
  IN[region.language].repair(paperDay(region, day), onGuarantee)

const hangsOnVisits = (occasion: Occasion): occasion is keyof MessageWords['guarantee'] =>
  occasion === 'visit-due' || occasion === 'visit-overdue'

/** What a message that is due speaks of, in the words of whoever gets it. */
export function dueFacts(
  region: Region,
  language: Language,
  { occasion, facts: { from, until, guaranteed } }: Pick<DueMessage, 'occasion' | 'facts'>,
): Partial<Facts> {
  const read = readIn(region, language)
  return {
    ...(from ? { from: paperDay(read, from) } : {}),
    ...(until ? { until: paperDay(read, until) } : {}),
    ...(guaranteed && hangsOnVisits(occasion) ? { guarantee: IN[language].guarantee[occasion] } : {}),
  }
}

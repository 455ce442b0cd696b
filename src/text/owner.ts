import type { Language, Region } from '@/core/region'
import { ownerInGerman } from './de/owner'
import { ownerInEnglish } from './en/owner'
import { ownerInFrench } from './fr/owner'

/** The page of an owner, but for the care of the car itself. */
export type OwnerWords = {
  /** Of the browser’s tab. */
  title: (shop: string) => string
  hello: (name: string) => string
  protectedWith: (products: string, since: string, until: string) => string
  /** Where that moment has passed. */
  protectedUntil: (products: string, since: string, until: string) => string
  unprotected: string
  firstDays: string
  yearAhead: string
  addToCalendar: string
  visit: {
    heading: string
    expected: (day: string) => string
    here: string
    asked: (day: string) => string
    from: string
    what: string
    ask: string
    asking: string
  }
  refused: Record<'gone' | 'input' | 'stale' | 'other', string>
  beforeAndAfter: string
  phase: Record<'before' | 'after', string>
  rules: string
  print: string
  private: string
}

const IN: Record<Language, OwnerWords> = { en: ownerInEnglish, fr: ownerInFrench, de: ownerInGerman }

export const ownerWords = ({ language }: Pick<Region, 'language'>): OwnerWords => IN[language]

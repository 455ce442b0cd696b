import type { Language, Region } from '@/core/region'
import type { DefectKind, PlaceDefectKind } from '@/core/survey'
import { marksInGerman } from './de/marks'
import { marksInEnglish } from './en/marks'
import { marksInFrench } from './fr/marks'
import { title } from './title'

/** What is wrong with paint, wheels, glass, trim and cabin, as it stands in the middle of a sentence. */

export type MarkKind = DefectKind | PlaceDefectKind
export type MarkWords = {
  name: Record<MarkKind, string>
  /** Who or what puts it right where it is not part of the work. Begins with a verb, ends without a stop. */
  needs: Record<PlaceDefectKind, string>
}

const IN: Record<Language, MarkWords> = { en: marksInEnglish, fr: marksInFrench, de: marksInGerman }

export const markName = ({ language }: Pick<Region, 'language'>, kind: MarkKind): string =>
  IN[language].name[kind]
export const markNeeds = ({ language }: Pick<Region, 'language'>, kind: PlaceDefectKind): string =>
  IN[language].needs[kind]

/** The same at the beginning of a line. */
export const markTitle = (region: Pick<Region, 'language'>, kind: MarkKind) =>
  title(region, markName(region, kind))

import type { Language, Region } from '@/core/region'
import type { DefectKind, PlaceDefectKind } from '@/core/survey'
import { marksInGerman } from './de/marks'
import { marksInEnglish } from './en/marks'
import { marksInFrench } from './fr/marks'
import { placeTitle } from './panels'
import { inItsSpelling } from './spelling'
import { title } from './title'

/** What is wrong with paint, wheels, glass, trim and cabin, as it stands in the middle of a sentence. */

export type MarkKind = DefectKind | PlaceDefectKind
export type MarkWords = {
  name: Record<MarkKind, string>
  /** Who or what puts it right where it is not part of the work. Begins with a verb, ends without a stop. */
  needs: Record<PlaceDefectKind, string>
}

type Reader = Pick<Region, 'language' | 'locale'>

const IN: Record<Language, MarkWords> = { en: marksInEnglish, fr: marksInFrench, de: marksInGerman }

export const markName = (region: Reader, kind: MarkKind): string =>
  inItsSpelling(region, IN[region.language].name[kind])
export const markNeeds = (region: Reader, kind: PlaceDefectKind): string =>
  inItsSpelling(region, IN[region.language].needs[kind])

/** What a second inspection has found, panel by panel, a line each. */
export const foundText = (
  region: Region,
  found: Readonly<Record<string, readonly { kind: MarkKind; note?: string }[]>>,
): string =>
  Object.entries(found)
    .flatMap(([panel, defects]) =>
      defects.map(
        ({ kind, note }) =>
          `${placeTitle(region, panel)}: ${markName(region, kind)}${note?.trim() ? ` (${note.trim()})` : ''}.`,
      ),
    )
    .join('\n')

/** The same at the beginning of a line. */
export const markTitle = (region: Reader, kind: MarkKind) => title(region, markName(region, kind))

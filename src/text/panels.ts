import type { Language, Region } from '@/core/region'
import { panelsInGerman } from './de/panels'
import { panelsInEnglish } from './en/panels'
import { termsOf } from './en/terms'
import { panelsInFrench } from './fr/panels'
import { type PanelWords, panelWordIn } from './panel-word'
import { title } from './title'

/** What panels and places of a car are called in the language of whoever reads. */

const IN: Record<Language, (region: Region) => PanelWords> = {
  en: (region) => panelsInEnglish(termsOf(region)),
  fr: () => panelsInFrench,
  de: () => panelsInGerman,
}

/** The name of a panel or place from its id, such as `front-door-left`, as it stands in the middle of a sentence. */
export const placeName = (region: Region, id: string): string => panelWordIn(IN[region.language](region), id)

/** The same at the beginning of a line. */
export const placeTitle = (region: Region, id: string) => title(region, placeName(region, id))

import type { Language, Region } from '@/core/region'
import type { PanelKind, PlaceKind } from '@/core/vehicle'
import { panelsInGerman } from './de/panels'
import { panelsInEnglish } from './en/panels'
import { termsOf } from './en/terms'
import { panelsInFrench } from './fr/panels'
import { title } from './title'

/** What panels and places of a car are called, by kind; which side they are on is for the language to add. */

export type Side = 'left' | 'right'
export type PanelWords = {
  name: Record<PanelKind | PlaceKind, string>
  onSide: (kind: PanelKind | PlaceKind, name: string, side: Side) => string
}

const IN: Record<Language, (region: Region) => PanelWords> = {
  en: (region) => panelsInEnglish(termsOf(region)),
  fr: () => panelsInFrench,
  de: () => panelsInGerman,
}

const SIDED = /^(.+)-(left|right)$/

/** The name of a panel or place from its id, such as `front-door-left`, as it stands in the middle of a sentence. */
export function placeName(region: Region, id: string): string {
  const { name, onSide } = IN[region.language](region)
  const known = (kind: string): kind is PanelKind | PlaceKind => kind in name
  if (known(id)) return name[id]
  const [, kind, side] = SIDED.exec(id) ?? []
  return kind && known(kind) ? onSide(kind, name[kind], side as Side) : id
}

/** The same at the beginning of a line. */
export const placeTitle = (region: Region, id: string) => title(region, placeName(region, id))

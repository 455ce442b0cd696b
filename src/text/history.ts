import type { Water } from '@/core/aftercare'
import type { HistoryStay } from '@/core/history'
import type { Language, Region } from '@/core/region'
import { dayIn } from '@/core/time'
import type { PaintSystem, Shape } from '@/core/vehicle'
import { historyInGerman } from './de/history'
import { historyInEnglish } from './en/history'
import { list, shortDay } from './formats'
import { historyInFrench } from './fr/history'
import { placeName } from './panels'
import { workWords } from './work'

/** The history of a vehicle’s paint as a paper: what a new owner is handed with the car. */

export type HistoryWords = {
  name: (plate: string) => string
  heading: string
  nothing: string
  shape: Record<Shape, string>
  paint: Record<PaintSystem, string>
  /** A stay by what it was for, where no package names it. */
  stay: Record<HistoryStay['kind'], string>
  depth: string
  gloss: string
  /** A mean before and after the work, each where it was read. */
  readings: (facts: { what: string; count: number; before?: string; after?: string }) => string
  worked: (facts: { process: string; panels: number; depth: string }) => string
  applied: (facts: { product: string; where: string; lot: string; day: string }) => string
  water: Record<Water, string>
  seen: (list: string) => string
  photographs: (count: number) => string
  phase: Record<'before' | 'after', string>
  removed: (facts: { unit: string; limit: string }) => string
  noneKnown: string
  /** How many stays before those that are told are in the file alone. */
  earlier: (count: number) => string
  file: string
  foot: (shop: string, plate: string) => string
}

const IN: Record<Language, HistoryWords> = {
  en: historyInEnglish,
  fr: historyInFrench,
  de: historyInGerman,
}

export const historyWords = ({ language }: Pick<Region, 'language'>): HistoryWords => IN[language]

type HistoryLayer = HistoryStay['layers'][number]

/** Where a layer lies: some panels of the paint, or a whole surface. */
export const layerPlace = (region: Region, { surface, panels }: Pick<HistoryLayer, 'surface' | 'panels'>) =>
  panels
    ? list(
        region,
        panels.map((panel) => placeName(region, panel)),
      )
    : workWords(region).surface[surface]

/** What was applied where, on the day the shop's own clock showed when it was done. */
export const layerLine = (region: Region, layer: HistoryLayer): string =>
  historyWords(region).applied({
    product: layer.product,
    where: layerPlace(region, layer),
    lot: layer.lot,
    day: shortDay(region, dayIn(region.timezone, layer.endedAt)),
  })

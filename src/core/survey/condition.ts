import type { Panel } from '../vehicle'
import { DEFECT_MODEL, type Defect } from './defects'

/** Small extents weigh more than their area: a third of a bonnet in swirls reads as most of it (mem). */
const EXTENT_EXPONENT = 0.6

/** Lowest index of each letter; below D is E. */
const LETTER_FROM = [
  ['A', 90],
  ['B', 75],
  ['C', 55],
  ['D', 35],
] as const

export type Letter = 'A' | 'B' | 'C' | 'D' | 'E'

export function letterOf(index: number): Letter {
  return LETTER_FROM.find(([, from]) => index >= from)?.[0] ?? 'E'
}

/** What one defect leaves of a panel's appearance, as a factor 0–1. */
export function conditionFactor(defect: Defect): number {
  const deduct = DEFECT_MODEL[defect.kind].deduct[defect.severity - 1]!
  return 1 - (deduct / 100) * (defect.extentPercent / 100) ** EXTENT_EXPONENT
}

/** Index 0–100 of a panel, its letter, and how many points each defect costs, in the order given. */
export type Condition = { index: number; letter: Letter; costs: { defect: Defect; points: number }[] }

/** Condition of one panel: 100 · Π(1 − deduct/100 · extent^0.6). Points are charged one defect after another. */
export function panelCondition(defects: readonly Defect[]): Condition {
  let index = 100
  const costs = defects.map((defect) => {
    const before = index
    index *= conditionFactor(defect)
    return { defect, points: before - index }
  })
  return { index, letter: letterOf(index), costs }
}

/** How much a panel counts in the vehicle's index: m² times how much it is seen. */
export function panelWeight(panel: Panel): number {
  return panel.areaM2 * panel.visibility
}

/** The vehicle's index: the mean of its panels by area and visibility. */
export function vehicleIndex(panels: readonly Panel[], indexOf: (panel: Panel) => number): number {
  const total = panels.reduce((sum, panel) => sum + panelWeight(panel), 0)
  return panels.reduce((sum, panel) => sum + panelWeight(panel) * indexOf(panel), 0) / total
}

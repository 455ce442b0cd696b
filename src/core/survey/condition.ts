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

/** What sums of weights lose in binary fractions, points. */
const ROUNDING = 1e-9

export type Letter = 'A' | 'B' | 'C' | 'D' | 'E'

export function letterOf(index: number): Letter {
  return LETTER_FROM.find(([, from]) => index + ROUNDING >= from)?.[0] ?? 'E'
}

/** An index as it is printed beside its letter: cut off and never rounded up, so that 89.6 does not read 90 beside a B. */
export const wholeIndex = (index: number): number => Math.floor(index + ROUNDING)

const deductOf = ({ kind, severity }: Defect) => DEFECT_MODEL[kind].deduct[severity - 1]!
const weightOf = (extentPercent: number) => (Math.min(100, extentPercent) / 100) ** EXTENT_EXPONENT

/**
 * What each entry of one kind takes of a panel's appearance, 0–1, in the order given. Entries of a kind are parts of one
 * finding, however they were written down: the worst covers its extent first, a milder one only what is left of the panel.
 */
function takenByKind(entries: readonly Defect[]): number[] {
  const worstFirst = entries.map((_, at) => at).sort((a, b) => deductOf(entries[b]!) - deductOf(entries[a]!))
  const taken = entries.map(() => 0)
  let covered = 0
  for (const at of worstFirst) {
    const entry = entries[at]!
    const before = covered
    covered += entry.extentPercent
    taken[at] = (deductOf(entry) / 100) * (weightOf(covered) - weightOf(before))
  }
  return taken
}

/** Index 0–100 of a panel, its letter, and how many points each defect costs, in the order given. */
export type Condition = { index: number; letter: Letter; costs: { defect: Defect; points: number }[] }

/** Condition of one panel: 100 · Π over its kinds of (1 − deduct/100 · extent^0.6). Points are charged one kind after another. */
export function panelCondition(defects: readonly Defect[]): Condition {
  let index = 100
  const costs = defects.map((defect) => ({ defect, points: 0 }))
  for (const kind of new Set(defects.map((defect) => defect.kind))) {
    const own = costs.filter(({ defect }) => defect.kind === kind)
    const taken = takenByKind(own.map(({ defect }) => defect))
    for (const [at, cost] of own.entries()) cost.points = index * taken[at]!
    index *= 1 - taken.reduce((sum, share) => sum + share, 0)
  }
  return { index, letter: letterOf(index), costs }
}

/** What a machine removes and costs the panel most; undefined where there is nothing of that. */
export function mainMark({ costs }: Condition): Defect | undefined {
  return costs
    .filter(({ defect }) => DEFECT_MODEL[defect.kind].mend === 'polish' && !defect.catchesNail)
    .toSorted((a, b) => b.points - a.points)[0]?.defect
}

/** How much a panel counts in the vehicle's index: m² times how much it is seen. */
export function panelWeight(panel: Panel): number {
  return panel.areaM2 * panel.visibility
}

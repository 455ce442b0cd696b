import type { Panel } from '../vehicle'
import { type Condition, type Letter, letterOf, panelWeight } from './condition'

/**
 * The condition of a vehicle as far as somebody has inspected it: the mean of the inspected panels by area and how much they
 * are seen, how many those are, and the worst of them. It stands for no panel nobody has seen.
 */
export type Grade = {
  index: number
  letter: Letter
  inspected: number
  of: number
  worst: { panel: Panel; condition: Condition }
}

type Graded = { panel: Panel; condition: Condition; inspected: boolean }

/** How much a panel counts in the condition of its vehicle: nothing before somebody has inspected it. */
export const inspectedWeight = ({ panel, inspected }: Omit<Graded, 'condition'>): number =>
  inspected ? panelWeight(panel) : 0

/** The mean of a figure over the inspected panels, by area and how much they are seen; undefined while there are none. */
export function meanOfInspected<P extends Omit<Graded, 'condition'>>(
  panels: readonly P[],
  figureOf: (panel: P) => number,
): number | undefined {
  const total = panels.reduce((sum, panel) => sum + inspectedWeight(panel), 0)
  return total > 0
    ? panels.reduce((sum, panel) => sum + inspectedWeight(panel) * figureOf(panel), 0) / total
    : undefined
}

/** The grade of a vehicle; undefined while no panel has been inspected. */
export function gradeOf(panels: readonly Graded[]): Grade | undefined {
  const inspected = panels.filter((panel) => panel.inspected)
  const index = meanOfInspected(inspected, ({ condition }) => condition.index)
  if (index === undefined) return undefined
  const { panel, condition } = inspected.reduce((a, b) => (b.condition.index < a.condition.index ? b : a))
  return {
    index,
    letter: letterOf(index),
    inspected: inspected.length,
    of: panels.length,
    worst: { panel, condition },
  }
}

/** The panels nobody has inspected yet, in walking order. */
export const uninspected = <P extends Graded>(panels: readonly P[]): P[] =>
  panels.filter(({ inspected }) => !inspected)

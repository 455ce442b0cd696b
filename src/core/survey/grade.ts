import type { Panel } from '../vehicle'
import { type Condition, type Letter, letterOf, vehicleIndex } from './condition'

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

/** The grade of a vehicle; undefined while no panel has been inspected. */
export function gradeOf(panels: readonly Graded[]): Grade | undefined {
  const inspected = panels.filter((panel) => panel.inspected)
  if (inspected.length === 0) return undefined
  const byId = new Map(inspected.map(({ panel, condition }) => [panel.id, condition.index]))
  const index = vehicleIndex(
    inspected.map(({ panel }) => panel),
    ({ id }) => byId.get(id)!,
  )
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

import type { CardState } from '../card'
import type { OperationId, PersonId } from '../ids'
import type { JobPlan, PlannedOperation } from '../offer'
import { panelWeight } from '../survey'
import { EASILY_MISSED } from '../survey/looked'
import type { Instant } from '../time'
import { type Panel, panelsOfVehicle, type Vehicle } from '../vehicle'

/** The final inspection by a second person: every panel under the lamp, and the places one easily misses. */

export type InspectionItem = { id: string; panel?: Panel }

export type Verdict = {
  item: string
  verdict: 'good' | 'fault'
  note: string
  /** Share of the marks that are gone, %, as the inspector sees it; panels only. */
  clearedPercent?: number
  /** What was at fault before it was good. */
  found?: string
  /** The step a fault was sent back to. */
  sentTo?: OperationId
  by: PersonId
  at: Instant
}

/** What is looked at, in walking order: the panels, then what is easily missed. */
export function inspectionItems(vehicle: Pick<Vehicle, 'shape' | 'panelFacts'>): InspectionItem[] {
  return [
    ...panelsOfVehicle(vehicle).map((panel) => ({ id: panel.id, panel })),
    ...EASILY_MISSED.map((id) => ({ id })),
  ]
}

export type InspectionState = {
  open: InspectionItem[]
  faults: Verdict[]
  /** Everything was looked at, and nothing is at fault. */
  passed: boolean
}

export function inspectionState(
  items: readonly InspectionItem[],
  verdicts: readonly Verdict[],
): InspectionState {
  const seen = new Set(verdicts.map(({ item }) => item))
  const open = items.filter(({ id }) => !seen.has(id))
  const faults = verdicts.filter(({ verdict }) => verdict === 'fault')
  return { open, faults, passed: open.length === 0 && faults.length === 0 }
}

/** High spots nobody has levelled or polished off yet. */
export const openHighSpots = ({ work }: Pick<CardState, 'work'>): number =>
  Object.values(work).reduce((sum, { highSpots }) => sum + highSpots.filter(({ gone }) => !gone).length, 0)

/** Work by which somebody has become blind to its faults. */
export const BLINDS: ReadonlySet<PlannedOperation['kind']> = new Set([
  'cut',
  'refine',
  'polish',
  'layer',
  'surface',
])

/** Who worked on the paint and so should not be the one to judge it. */
export function blindToIt(
  plan: JobPlan,
  progress: Readonly<Record<string, { kind: string; by?: PersonId }>>,
): Set<PersonId> {
  return new Set(
    plan.operations.flatMap(({ id, kind }) => {
      const by = progress[id]?.by
      return BLINDS.has(kind) && by ? [by] : []
    }),
  )
}

/** Who is planned to inspect what they worked on themselves, by who does which step: the page at the car will refuse them. */
export function judgesOfOwnWork(
  steps: readonly { kind: PlannedOperation['kind']; people: readonly PersonId[] }[],
): PersonId[] {
  const hands = new Set(steps.flatMap(({ kind, people }) => (BLINDS.has(kind) ? people : [])))
  return steps.flatMap(({ kind, people }) => (kind === 'finish' ? people.filter((id) => hands.has(id)) : []))
}

/**
 * Share 0–1 of the marks that are gone on the whole car, of the panels the inspector put a figure to, each by its area and
 * how much one sees it. Undefined where none was.
 */
export function reachedClearing(
  items: readonly InspectionItem[],
  verdicts: readonly Verdict[],
): number | undefined {
  let [sum, weight] = [0, 0]
  for (const { panel } of items) {
    const percent = verdicts.find(({ item }) => item === panel?.id)?.clearedPercent
    if (!panel || percent === undefined) continue
    sum += (panelWeight(panel) * percent) / 100
    weight += panelWeight(panel)
  }
  return weight > 0 ? sum / weight : undefined
}

import type { Water } from '../aftercare'
import type { SpotWork } from '../correction'
import type { RemainingCode, Summary } from '../offer'
import type { DefectKind, FindingKind, Severity, VehicleJudgement } from '../survey'
import type { LocalDay } from '../time'

/** What one must know at a panel, without marking anything. Depths in µm. */
export type AtPanel = {
  /** Mean and thinnest of what was read before the work. */
  depth?: { meanUm: number; lowestUm: number }
  finding: FindingKind
  /** What may still come off it. */
  spareUm: number
  marks: { kind: DefectKind; severity: Severity; catchesNail: boolean; note: string }[]
  /** What the customer was told of it. */
  told: RemainingCode[]
  /** The deepest mark, where spot work brings it down, and the paint that may go there beside the polish. */
  spot?: Pick<SpotWork, 'mark' | 'takesUm'>
  /** What was last seen there at an earlier visit, the newest first. */
  last?: SeenBefore[]
}

/** What somebody saw at a panel at an earlier visit: a fault of its final inspection, or how its coating shed water. */
export type SeenBefore = { day: LocalDay; note: string; water?: Water }

/** The panels of a car as whoever works on them has to know them, by id. */
export function atPanels(
  { panels }: Pick<VehicleJudgement, 'panels'>,
  { expectation, spots }: Pick<Summary, 'expectation' | 'spots'>,
  seen: ReadonlyMap<string, SeenBefore[]> = new Map(),
): Record<string, AtPanel> {
  return Object.fromEntries(
    panels.map(({ panel, statistics, finding, budget, condition }): [string, AtPanel] => [
      panel.id,
      {
        ...(statistics ? { depth: { meanUm: statistics.meanUm, lowestUm: statistics.lowestSpotUm } } : {}),
        finding: finding.kind,
        spareUm: budget.budgetUm,
        marks: condition.costs.map(({ defect }) => ({
          kind: defect.kind,
          severity: defect.severity,
          catchesNail: defect.catchesNail,
          note: 'note' in defect && typeof defect.note === 'string' ? defect.note.trim() : '',
        })),
        told: expectation.flatMap((each) =>
          !('text' in each) &&
          each.kind === 'stays' &&
          each.code !== 'left' &&
          (each.everywhere || each.panels.includes(panel.id))
            ? [each.code]
            : [],
        ),
        ...spotAt(spots, panel.id),
        ...(seen.has(panel.id) ? { last: seen.get(panel.id)! } : {}),
      },
    ]),
  )
}

function spotAt(spots: readonly SpotWork[], panel: string): Pick<AtPanel, 'spot'> {
  const spot = spots.find((each) => each.panel === panel && each.takesUm > 0)
  return spot ? { spot: { mark: spot.mark, takesUm: spot.takesUm } } : {}
}

import type { Region } from '@/core/region'
import type { NotedDefect, PanelJudgement, SurveyRecord } from '@/core/survey'
import { wholeIndex } from '@/core/survey'
import type { Panel, Place } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import type { PanelFace, PlanPin } from '@/ui/body-plan'

/** A panel at this condition index is shown as brown as it gets, points (mem). */
const WORST_INDEX = 30

/** A panel on the walk: the more it has lost, the browner, like bracken; its letter stands on it. */
export function conditionFace(region: Region, { panel, condition, inspected }: PanelJudgement): PanelFace {
  const count = condition.costs.length
  const share = Math.min(1, (100 - condition.index) / (100 - WORST_INDEX))
  const said =
    count === 0
      ? inspected
        ? 'inspected, no defects'
        : 'not inspected yet'
      : `${count} recorded, ${condition.letter} ${wholeIndex(condition.index)}`
  return {
    fill:
      count === 0
        ? 'var(--c-sheet)'
        : `color-mix(in oklab, var(--c-bracken) ${Math.round(16 + 54 * share)}%, var(--c-sheet))`,
    ink: 'var(--c-ink)',
    text: inspected ? condition.letter : '',
    label: `${staffPanel(region, panel.id)}: ${said}`,
  }
}

/** A panel that is not there, or carries no paint: grey, and nothing is asked of it. */
export const absentFace = (region: Region, { id }: Panel): PanelFace => ({
  fill: 'var(--c-line)',
  ink: 'var(--c-ink-soft)',
  text: '',
  label: `${staffPanel(region, id)}: not there`,
})

export function placeFace(region: Region, place: Place, defects: SurveyRecord['places']): PanelFace {
  const count = defects[place.id]?.length ?? 0
  return {
    fill: '',
    ink: '',
    text: '',
    label: `${staffPanel(region, place.id)}: ${count === 0 ? 'nothing recorded' : `${count} recorded`}`,
    ...(count > 0 ? { mark: 'noted' as const } : {}),
  }
}

/** The points that were touched, numbered in the order of the walk. */
export function pinsOf(defects: SurveyRecord['defects'], order: readonly { id: string }[]): PlanPin[] {
  const placed = order.flatMap(({ id }) =>
    (defects[id] ?? []).flatMap((defect: NotedDefect, at) =>
      defect.at ? [{ panel: id, at, defect, point: defect.at }] : [],
    ),
  )
  return placed.map(({ panel, at, defect, point }, index) => ({
    ...point,
    id: `${panel}-${at}`,
    label: String(index + 1),
    held: defect.catchesNail,
  }))
}

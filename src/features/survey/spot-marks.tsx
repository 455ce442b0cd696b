import { type PanelJudgement, type Phase, spotsWanted } from '@/core/survey'
import { bodyPlan, type Panel, type Shape } from '@/core/vehicle'
import type { PlanPin } from '@/ui/body-plan'

/** Where a panel is read: the same spots before the work and after it, so that what is compared is paint and not place. */

export const isReadable = ({ finding }: PanelJudgement): boolean =>
  finding.kind !== 'unreadable' && finding.kind !== 'film'

/** Spots stand on a line through the middle of the drawn panel, cm of the drawing apart. */
const APART_CM = 26

/** The spots of a panel as numbered pins on the drawing; none for a part beside it. */
export function marksOn(shape: Shape, panel: Panel): PlanPin[] {
  const label = bodyPlan(shape).panels[panel.id]?.label
  if (!label) return []
  const spots = spotsWanted(panel.areaM2)
  return Array.from({ length: spots }, (_, at) => ({
    id: `spot-${at + 1}`,
    label: String(at + 1),
    x: label.x + (at - (spots - 1) / 2) * APART_CM,
    y: label.y,
    held: false,
  }))
}

/** What the numbers on the drawing are for. */
export function SpotMarks({
  phase,
  atMarks,
  onAtMarks,
}: {
  phase: Phase
  atMarks: boolean
  onAtMarks: (atMarks: boolean) => void
}) {
  return phase === 'before' ? (
    <p className="mt-2 text-sm text-ink-soft">
      Three readings at each numbered spot, in their order. After the work the same spots are read again.
    </p>
  ) : (
    <label className="mt-2 flex min-h-11 items-center gap-3 text-[15px]">
      <input
        type="checkbox"
        className="size-6 shrink-0 accent-fern"
        checked={atMarks}
        onChange={(event) => onAtMarks(event.target.checked)}
      />
      Read at the numbered spots of the first round
    </label>
  )
}

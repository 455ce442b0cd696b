import {
  clearedShare,
  DEFECT_MODEL,
  type Defect,
  type DefectKind,
  depthScaleUm,
  type PanelJudgement,
} from '../survey'
import type { PanelOption } from './choose'

/** One deep mark brought down by hand and small pad beyond what the panel is polished: by paint the panel has to spare. */

export type SpotWork = {
  panel: string
  mark: DefectKind
  /** Paint taken at the mark beyond what the panel is polished, µm. */
  takesUm: number
  /** Share 0–1 of the mark that goes with both together. */
  cleared: number
  /** `reduced` where the paint cannot spare what the mark asks for; `refused` where it can spare nothing worth it. */
  verdict: 'full' | 'reduced' | 'refused'
}

/** A mark of which this share is gone is one nobody finds again (mem). */
const SPOT_CLEARS = 0.85
/** Less than this beyond the polish is not worth the hour, µm (mem). */
const LEAST_WORTH_UM = 0.5

const polishable = (defect: Defect) => !defect.catchesNail && DEFECT_MODEL[defect.kind].mend === 'polish'

/** The deepest mark of a panel that polish reaches at all. */
function deepest(judged: PanelJudgement): Defect | undefined {
  return judged.condition.costs
    .map(({ defect }) => defect)
    .filter(polishable)
    .toSorted((a, b) => depthScaleUm(b)! - depthScaleUm(a)!)[0]
}

/** What spot work takes and does on a panel that is polished so; undefined where no mark of it can be polished. */
export function spotWork(
  judged: PanelJudgement,
  { removalUm, cut }: Pick<PanelOption, 'removalUm' | 'cut'>,
): SpotWork | undefined {
  const mark = deepest(judged)
  if (!mark) return undefined
  const asksUm = Math.max(0, -Math.log(1 - SPOT_CLEARS) * depthScaleUm(mark)! * cut.depth - removalUm)
  const spareUm = Math.max(0, judged.budget.budgetUm - removalUm)
  const takesUm = Math.min(asksUm, spareUm)
  const cleared = (um: number) => clearedShare(mark, um / cut.depth)
  const told = { panel: judged.panel.id, mark: mark.kind }
  if (takesUm < asksUm && takesUm < LEAST_WORTH_UM)
    return { ...told, takesUm: 0, cleared: cleared(removalUm), verdict: 'refused' }
  return {
    ...told,
    takesUm,
    cleared: cleared(removalUm + takesUm),
    verdict: takesUm < asksUm ? 'reduced' : 'full',
  }
}

import {
  type PanelOption,
  PROCESS_KEYS,
  PROCESSES,
  type ProcessKey,
  panelGroup,
  panelOption,
} from '@/core/correction'
import { DEFECT_MODEL, type Defect, type PanelJudgement, type VehicleJudgement } from '@/core/survey'
import { type Attempt, factorOf, type GroupStudy } from '@/core/test-spot'
import type { PaintSystem } from '@/core/vehicle'

/** What may be tried on a panel, mildest first, and what may not with the rules it breaks. What spots showed is left out: a spot is there to find out. */
export function ladderFor(
  judged: PanelJudgement,
  study: GroupStudy,
  paintSystem: PaintSystem,
): { open: PanelOption[]; forbidden: PanelOption[] } {
  const known = { give: factorOf(study.give).factor, tooMuch: [] }
  const knowledge = { 'metal-original': known, 'metal-repainted': known, plastic: known, other: known }
  const options = PROCESSES.filter(({ steps }) => steps.length > 0).map((process) =>
    panelOption(judged, process, {
      paintSystem,
      knowledge,
      care: 'usual',
      strongest: PROCESS_KEYS.at(-1)!,
      underCoating: true,
    }),
  )
  return {
    open: options.filter(({ broken }) => broken.length === 0),
    forbidden: options.filter(({ broken }) => broken.length > 0),
  }
}

/** The mark a spot is judged by: what polishing can clear and costs the panel most; swirls where none is noted. */
export function markOn({ condition }: PanelJudgement): Pick<Defect, 'kind' | 'severity'> {
  const polishable = condition.costs.filter(
    ({ defect }) => DEFECT_MODEL[defect.kind].mend === 'polish' && !defect.catchesNail,
  )
  const worst = polishable.toSorted((a, b) => b.points - a.points)[0]?.defect
  return worst ? { kind: worst.kind, severity: worst.severity } : { kind: 'swirls', severity: 2 }
}

/** A panel to begin on: of its group one that can spare paint, has something to clear, and lies flat and in sight. */
export function panelToTry(judgement: VehicleJudgement, group: Attempt['group']): PanelJudgement | undefined {
  const own = judgement.panels.filter((judged) => panelGroup(judged) === group)
  const rank = ({ panel, condition, budget }: PanelJudgement) =>
    (budget.budgetUm > 0 ? 4 : 0) +
    (condition.costs.length > 0 ? 2 : 0) +
    (panel.difficulty === 'flat' ? 1 : 0) +
    // Within reach and in sight: a bonnet before a roof.
    panel.visibility / 2
  return own.toSorted((a, b) => rank(b) - rank(a))[0]
}

/** What the form begins with for a rung of the ladder. */
export function rungOf(
  process: ProcessKey,
): Pick<Attempt, 'machine' | 'pad' | 'liquid' | 'passes' | 'sectionM'> {
  const [step] = PROCESSES.find(({ key }) => key === process)!.steps
  const { machine, pad, liquid, passes, sectionM } = step!
  return { machine, pad, liquid, passes, sectionM: Math.min(0.6, sectionM) }
}

import { type Method, type PanelOption, panelGroup, panelOption, unprobed } from '@/core/correction'
import { type Defect, mainMark, type PanelJudgement, type VehicleJudgement } from '@/core/survey'
import { type Attempt, type AttemptStep, depthOf, factorOf, type GroupStudy } from '@/core/test-spot'
import type { LocalDay } from '@/core/time'

/**
 * What may be tried on a panel, mildest first, and what may not with the rules it breaks. What spots showed is left out: a spot
 * is there to find out; and what is only done by consent may be tried, since a good spot comes before the consent.
 */
export function ladderFor(
  judged: PanelJudgement,
  study: GroupStudy,
  methods: readonly Method[],
  today?: LocalDay,
): { open: PanelOption[]; forbidden: PanelOption[] } {
  const group = panelGroup(judged)
  const known = {
    ...unprobed('medium'),
    [group]: { give: factorOf(study.give).factor, depth: depthOf(study).factor, tooMuch: [], good: [] },
  }
  const options = methods
    .filter(({ steps }) => steps.length > 0)
    .map((method) =>
      panelOption(judged, method, {
        methods,
        knowledge: known,
        care: 'usual',
        strongest: methods.at(-1)!.key,
        underCoating: true,
        ...(today ? { today } : {}),
      }),
    )
  // Whether wool is needed is what a spot is there to find out.
  const stopped = ({ broken }: PanelOption) =>
    broken.some(({ id, level }) => level === 'stop' && id !== 'no-wool-on-light-marks')
  return { open: options.filter((option) => !stopped(option)), forbidden: options.filter(stopped) }
}

/** The mark a spot is judged by: what polishing can clear and costs the panel most; swirls where none is noted. */
export function markOn({ condition }: PanelJudgement): Pick<Defect, 'kind' | 'severity'> {
  const worst = mainMark(condition)
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

/** The square a spot is taped off to, m, where the method would work a larger one (common practice). */
const SQUARE_M = 0.6

/** What the form begins with for a rung of the ladder: the steps of the method, as they would be done on this panel. */
export function stepsOf({ method }: PanelOption): AttemptStep[] {
  return method.steps.map(({ machine, pad, liquid, dial, passes, sectionM }) => ({
    machine,
    pad,
    liquid,
    product: '',
    dial,
    passes,
    sectionM: Math.min(SQUARE_M, sectionM),
  }))
}

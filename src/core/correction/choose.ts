import {
  clearedShare,
  DEFECT_MODEL,
  type Defect,
  depthScaleUm,
  meanOfInspected,
  type PanelJudgement,
  panelCondition,
  panelWeight,
} from '../survey'
import type { PaintSystem } from '../vehicle'
import { CARE, type Care } from './care'
import { brokenRules, type ForbidRule } from './forbidden'
import { type PaintKnowledge, panelGroup } from './group'
import { atPace, machineKey, type Pace, paceFor } from './pace'
import { hazeLeft, PROCESSES, type Process, type ProcessKey, removalUm } from './process'
import { type StepMinutes, stepMinutes } from './time'

/** A gain smaller than this is not worth more paint, points of the condition index (mem). */
export const WORTH_POINTS = 0.5

/** What one process would do to one panel. */
export type PanelOption = {
  process: Process
  removalUm: number
  minutes: number
  /** What the minutes are made of, step by step. */
  parts: StepMinutes[]
  /** Points of the condition index that haze still costs afterwards. */
  hazePoints: number
  indexBefore: number
  indexAfter: number
  /** Share 0–1 of what mars the panel that goes, each defect by what it costs and how far it spreads. */
  cleared: number
  broken: ForbidRule[]
}

export type PanelChoice = { judged: PanelJudgement; option: PanelOption; forbidden: PanelOption[] }

export type ChoiceSettings = {
  paintSystem: PaintSystem
  knowledge: PaintKnowledge
  care: Care
  /** No process stronger than this is considered. */
  strongest: ProcessKey
  underCoating: boolean
  /** The process itself is the protection: where one that protects is allowed, no panel goes without. */
  protects?: boolean
  /** How the shop's own hands go against the table. */
  pace?: Pace
}

/** What is worked on panels, µm, and how much of them the pad really reaches. */
type Cut = { removalUm: number; reached: number }

/** Share 0–1 of a defect that goes: what lies on the paint goes with the wash, the rest where the pad has been. */
export function clearedBy(defect: Defect, { removalUm: um, reached }: Cut): number {
  const share = clearedShare(defect, um)
  return DEFECT_MODEL[defect.kind].mend === 'polish' ? share * reached : share
}

/** Condition index expected after a cut: every defect keeps the share of its extent not cleared; haze costs points. */
export function indexAfter(defects: readonly Defect[], cut: Cut, haze: number): number {
  const left = defects.map((defect) => ({
    ...defect,
    extentPercent: defect.extentPercent * (1 - clearedBy(defect, cut)),
  }))
  return Math.max(0, panelCondition(left).index - haze)
}

const burden = (defect: Defect) =>
  DEFECT_MODEL[defect.kind].deduct[defect.severity - 1]! * defect.extentPercent

/** Share 0–1 of the defects that goes with a cut; chips and nail catchers count and stay. 0 for none. */
function clearedOf(defects: readonly Defect[], cut: Cut): number {
  const all = defects.reduce((sum, defect) => sum + burden(defect), 0)
  return all > 0 ? defects.reduce((sum, defect) => sum + burden(defect) * clearedBy(defect, cut), 0) / all : 0
}

/** λ from which a mark counts as deep, µm (mem): what a compound alone does not reach. */
const DEEP_UM = 2

const isDeep = (defect: Defect) => !defect.catchesNail && (depthScaleUm(defect) ?? 0) >= DEEP_UM

/** What a process would do to a panel: paint, minutes, condition, and the rules that speak against it. */
export function panelOption(judged: PanelJudgement, process: Process, settings: ChoiceSettings): PanelOption {
  const { give, ...known } = settings.knowledge[panelGroup(judged)]
  const removal = removalUm(process, give)
  const indexBefore = judged.condition.index
  const defects = judged.condition.costs.map(({ defect }) => defect)
  const haze = hazeLeft(process, give)
  const cut = { removalUm: removal, reached: CARE[settings.care].reached }
  const parts = process.steps.map((step) =>
    atPace(stepMinutes(step, judged.panel, settings.care), paceFor(settings.pace, machineKey(process, step))),
  )
  return {
    process,
    removalUm: removal,
    minutes: parts.reduce((sum, { minutes }) => sum + minutes, 0),
    parts,
    hazePoints: haze,
    indexBefore,
    indexAfter: indexAfter(defects, cut, haze),
    cleared: clearedOf(defects, cut),
    broken: brokenRules(process, {
      panel: judged.panel,
      paintSystem: settings.paintSystem,
      budgetUm: judged.budget.budgetUm,
      removalUm: removal,
      underFilm: judged.finding.kind === 'film',
      underCoating: settings.underCoating,
      deeplyMarked: defects.some(isDeep),
      known,
    }),
  }
}

/**
 * The process for one panel: of those allowed, the mildest that comes within half a point of the best. Leaving
 * breaks no rule, so there is always an answer.
 */
export function choosePanel(judged: PanelJudgement, settings: ChoiceSettings): PanelChoice {
  const reach = PROCESSES.findIndex(({ key }) => key === settings.strongest)
  const options = PROCESSES.slice(0, reach + 1).map((process) => panelOption(judged, process, settings))
  const unbroken = options.filter(({ broken }) => broken.length === 0)
  const protecting = settings.protects ? unbroken.filter(({ process }) => process.leavesProtection) : []
  const allowed = protecting.length > 0 ? protecting : unbroken
  const best = Math.max(...allowed.map((option) => option.indexAfter))
  const option = allowed.find((candidate) => candidate.indexAfter >= best - WORTH_POINTS)!
  return { judged, option, forbidden: options.filter(({ broken }) => broken.length > 0) }
}

export type CorrectionPlan = {
  panels: PanelChoice[]
  /** Attended minutes at the machine, by role of the step. */
  minutes: { single: number; cut: number; refine: number }
  indexBefore: number
  indexAfter: number
  /** How many panels the indices rest on. */
  inspected: { panels: number; of: number }
  /** Nothing is written down that could be cleared. */
  flawless: boolean
  /** Share 0–1 of all defects expected to go, weighted by what they cost, their extent and the panel's weight. */
  expectedClearing: number
  /** Panels that have defects but keep them: no process is allowed or none helps. */
  leftAsTheyAre: PanelChoice[]
}

/** The correction of a whole vehicle at one strength. */
export function planCorrection(judged: readonly PanelJudgement[], settings: ChoiceSettings): CorrectionPlan {
  return correctionOf(judged.map((panel) => choosePanel(panel, settings)))
}

/** What the choices for all panels come to. */
export function correctionOf(panels: PanelChoice[]): CorrectionPlan {
  const weigh = (value: (choice: PanelChoice) => number) =>
    panels.reduce((sum, choice) => sum + panelWeight(choice.judged.panel) * value(choice), 0)
  // What nobody has inspected has no condition, before or after.
  const inspected = panels.filter(({ judged }) => judged.inspected)
  const seen = panels.map((choice) => ({ ...choice, ...choice.judged }))
  const indexBy = (value: (choice: PanelChoice) => number) => meanOfInspected(seen, value) ?? 100
  const burdenOf = ({ judged }: PanelChoice) =>
    judged.condition.costs.reduce((sum, { defect }) => sum + burden(defect), 0)
  const marred = weigh(burdenOf)
  const cleared = weigh((choice) => burdenOf(choice) * choice.option.cleared)
  return {
    panels,
    minutes: minutesByRole(panels),
    indexBefore: indexBy(({ option }) => option.indexBefore),
    indexAfter: indexBy(({ option }) => option.indexAfter),
    inspected: { panels: inspected.length, of: panels.length },
    flawless: marred === 0,
    expectedClearing: marred > 0 ? cleared / marred : 0,
    leftAsTheyAre: panels.filter(
      ({ judged: { condition }, option }) =>
        option.process.key === 'leave' && condition.costs.some(({ defect }) => clearedShare(defect, 0) < 1),
    ),
  }
}

function minutesByRole(panels: readonly PanelChoice[]): CorrectionPlan['minutes'] {
  const minutes = { single: 0, cut: 0, refine: 0 }
  for (const { option } of panels)
    for (const [at, step] of option.process.steps.entries()) minutes[step.role] += option.parts[at]!.minutes
  return minutes
}

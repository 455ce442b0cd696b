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
import type { LocalDay } from '../time'
import type { Panel } from '../vehicle'
import { CARE, type Care } from './care'
import { brokenRules, cautionsOf, type ForbidRule } from './forbidden'
import { type PaintKnowledge, panelGroup } from './group'
import { materialOf } from './material'
import { hazeLeft, type Method, type MethodKey, removalUm, upTo, type Worked } from './method'
import { atPace, machineKey, type Pace, paceFor } from './pace'
import { type Held, heldBy, workedOut } from './passes'
import { minutesOfSetUps, setUpsOf } from './set-ups'
import { type StepMinutes, stepMinutes } from './time'

/** A gain smaller than this is not worth more paint, points of the condition index (mem): it takes a lamp to see it. */
export const WORTH_POINTS = 1.5
/** … unless it leaves more than this share of what the best would clear: slight marks cost few points, and were paid for (mem). */
const WORTH_SHARE = 0.85

/** What one method would do to one panel. */
export type PanelOption = {
  method: Worked
  /** It takes more than the edge can spare: the edge is taped, the field is worked. */
  tapeEdge: boolean
  /** What ended its passes before its marks were clear. */
  held?: Held
  removalUm: number
  minutes: number
  /** What the minutes are made of, step by step. */
  parts: StepMinutes[]
  /** What is worked on the panel, and how it answers. */
  cut: Cut
  /** Points of the condition index that haze still costs afterwards. */
  hazePoints: number
  indexBefore: number
  indexAfter: number
  /** Share 0–1 of what mars the panel that goes, each defect by what it costs and how far it spreads. */
  cleared: number
  /** Rules that forbid it here. */
  broken: ForbidRule[]
  /** Rules that allow it, with care. */
  cautions: ForbidRule[]
}

export type PanelChoice = { judged: PanelJudgement; option: PanelOption; forbidden: PanelOption[] }

export type ChoiceSettings = {
  /** What the shop offers, mildest first. */
  methods: readonly Method[]
  knowledge: PaintKnowledge
  care: Care
  /** No method stronger than this is considered. */
  strongest: MethodKey
  underCoating: boolean
  /** The method itself is the protection: where one that protects is allowed, no panel goes without. */
  protects?: boolean
  /** How the shop's own hands go against the table. */
  pace?: Pace
  /** The day it is worked; paint sprayed shortly before is still soft. */
  today?: LocalDay
  /** How much more a panel counts on the curve than by area and by how much it is seen; 1 where nothing is said. */
  weigh?: (panel: Panel) => number
  /** Panels for which the customer has agreed to what is only done by consent. */
  consented?: readonly string[]
}

/** What is worked on panels, µm; how much of them the pad really reaches; how deep marks lie against the table, 1 as there. */
export type Cut = { removalUm: number; reached: number; depth: number }

/** Tape along the edges of one panel, minutes (mem). */
const TAPE_MINUTES = 4

/** Share 0–1 of a defect that goes: what lies on the paint goes with the wash, the rest where the pad has been. */
export function clearedBy(defect: Defect, { removalUm: um, reached, depth }: Cut): number {
  const share = clearedShare(defect, um / depth)
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

/** λ from which a mark is more than light, µm (mem): moderate swirls. */
const MODERATE_UM = 1

/** λ of what polishing takes, µm: what catches the nail stays, and what needs no pad has none. */
const polishedDepth = (defect: Defect) => (defect.catchesNail ? 0 : (depthScaleUm(defect) ?? 0))

/** What a method would do to a panel: paint, minutes, condition, and the rules that speak against it. */
export function panelOption(judged: PanelJudgement, method: Method, settings: ChoiceSettings): PanelOption {
  const { give, depth, ...known } = settings.knowledge[panelGroup(judged)]
  const { panel, paint, budget } = judged
  const indexBefore = judged.condition.index
  const defects = judged.condition.costs.map(({ defect }) => defect)
  const { reached } = CARE[settings.care]
  const marks = { defects, give, depth, budgetUm: budget.budgetUm }
  const done = workedOut(method, marks)
  const held = heldBy(method, done, marks)
  const removal = removalUm(done, give)
  const haze = hazeLeft(done, give)
  const tapeEdge = judged.edge !== undefined && removal > judged.edge.budgetUm
  const cut = { removalUm: removal, reached, depth }
  const parts = done.steps.map((step) =>
    atPace(stepMinutes(step, panel, settings.care), paceFor(settings.pace, machineKey(method, step))),
  )
  const material = materialOf(paint, panel.substrate)
  const context = {
    panel,
    paint,
    ...(material ? { material } : {}),
    ...(settings.today ? { today: settings.today } : {}),
    consented: settings.consented?.includes(panel.id) ?? false,
    budgetUm: budget.budgetUm,
    removalUm: removal,
    underFilm: judged.finding.kind === 'film',
    underCoating: settings.underCoating,
    overFiller: judged.finding.kind === 'filler-likely',
    deeplyMarked: defects.some((defect) => polishedDepth(defect) >= DEEP_UM),
    lightlyMarked: !defects.some((defect) => polishedDepth(defect) >= MODERATE_UM),
    known,
  }
  return {
    method: done,
    ...(held ? { held } : {}),
    tapeEdge,
    removalUm: removal,
    minutes: parts.reduce((sum, { minutes }) => sum + minutes, tapeEdge ? TAPE_MINUTES : 0),
    parts,
    cut,
    hazePoints: haze,
    indexBefore,
    indexAfter: indexAfter(defects, cut, haze),
    cleared: clearedOf(defects, cut),
    broken: brokenRules(method, context),
    cautions: cautionsOf(method, context),
  }
}

/** Every method a package reaches on a panel, mildest first; a light polish is always within reach of a coating. */
export function optionsOf(judged: PanelJudgement, settings: ChoiceSettings): PanelOption[] {
  const { recipe } = settings.knowledge[panelGroup(judged)]
  return reachOf(settings).map((method) =>
    panelOption(judged, recipe && recipe.key === method.key ? recipe : method, settings),
  )
}

/** What a package reaches, and under a coating the mildest polish that leaves nothing on the paint. */
function reachOf({ methods, strongest, underCoating }: ChoiceSettings): Method[] {
  const reached = upTo(methods, strongest)
  const prepares = ({ steps, leavesProtection }: Method) => steps.length > 0 && !leavesProtection
  const light = methods.find(prepares)
  return !underCoating || !light || reached.some(prepares)
    ? reached
    : methods.filter((method) => method === light || reached.includes(method))
}

/**
 * The options that are open: those no rule forbids; where the method is the protection, those that protect; under a coating,
 * those that polish, since what lies on the paint keeps a coating from bonding (common practice: a light polish under every one,
 * unless the paint cannot spare it).
 */
export function openOf(options: readonly PanelOption[], settings: ChoiceSettings): PanelOption[] {
  const unbroken = options.filter(({ broken }) => broken.length === 0)
  const wanted = settings.protects
    ? unbroken.filter(({ method }) => method.leavesProtection)
    : settings.underCoating
      ? unbroken.filter(({ method }) => method.steps.length > 0)
      : []
  return wanted.length > 0 ? wanted : unbroken
}

/**
 * The method for one panel: of those open, the mildest that comes within a point and a half of the best and clears nearly as much. Leaving breaks no rule, so
 * there is always an answer.
 */
export function choosePanel(judged: PanelJudgement, settings: ChoiceSettings): PanelChoice {
  const options = optionsOf(judged, settings)
  const open = openOf(options, settings)
  const best = open.reduce((a, b) => (b.indexAfter > a.indexAfter ? b : a))
  const option = open.find(
    ({ indexAfter: index, cleared }) =>
      index >= best.indexAfter - WORTH_POINTS && cleared >= best.cleared * WORTH_SHARE,
  )!
  return { judged, option, forbidden: options.filter(({ broken }) => broken.length > 0) }
}

export type CorrectionPlan = {
  panels: PanelChoice[]
  /** Attended minutes at the machine, by role of the step, set-ups with them. */
  minutes: { single: number; cut: number; refine: number }
  indexBefore: number
  indexAfter: number
  /** How many panels the indices rest on. */
  inspected: { panels: number; of: number }
  /** Nothing is written down that could be cleared. */
  flawless: boolean
  /** Share 0–1 of all defects expected to go, weighted by what they cost, their extent and the panel's weight. */
  expectedClearing: number
  /** Panels that have defects but keep them: no method is allowed or none helps. */
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
        option.method.steps.length === 0 && condition.costs.some(({ defect }) => clearedShare(defect, 0) < 1),
    ),
  }
}

function minutesByRole(panels: readonly PanelChoice[]): CorrectionPlan['minutes'] {
  const minutes = { single: 0, cut: 0, refine: 0 }
  for (const { option } of panels)
    for (const [at, step] of option.method.steps.entries())
      minutes[step.role] += option.parts[at]!.minutes + (at === 0 && option.tapeEdge ? TAPE_MINUTES : 0)
  const setUps = setUpsOf(panels.map(({ option }) => option.method))
  for (const role of ['single', 'cut', 'refine'] as const)
    minutes[role] += minutesOfSetUps(setUps.filter((setUp) => setUp.role === role))
  return minutes
}

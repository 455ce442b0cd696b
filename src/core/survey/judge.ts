import {
  type EarlierTreatment,
  type Finish,
  type Overruled,
  type PaintSystem,
  type Panel,
  type PanelPaint,
  type PanelsFacts,
  paintOf,
  panelsAsTheyAre,
  panelsOf,
  type Shape,
} from '../vehicle'
import { type Baseline, RESPRAY_STEP_UM } from './baseline'
import { filmBudget, type RemovalBudget, removalBudget, type School } from './budget'
import { type Condition, panelCondition } from './condition'
import type { Defect } from './defects'
import { asDeep, type DepthScales } from './depths'
import {
  type Finding,
  findingOf,
  HIGH_LEVEL_UM,
  type PanelStatistics,
  panelStatistics,
  type Readings,
  UNEVEN_MAD_UM,
  vehicleBaseline,
} from './finding'
import { type Grade, gradeOf } from './grade'
import type { Taken } from './ledger'
import { type Spread, spreadOf } from './metrology'
import { type Prospect, prospectOf } from './prospect'
import { allDefects, countedReadings, edgeReadings, type SurveyRecord } from './record'
import { type SpotSizes, spotsOf } from './spots'

export type SurveyInput = {
  panels: readonly Panel[]
  /** Of the car; a panel that is not like it is told apart by its facts. */
  paintSystem: PaintSystem
  finish?: Finish
  facts?: PanelsFacts
  /** The owner tells that it was sprayed, whenever and wherever. */
  resprayTold?: boolean
  school: School
  /** How deep marks lie, as the shop has learned. */
  depths?: DepthScales
  readings: Readings
  /** Where spots were not read three times each. */
  spotSizes?: SpotSizes
  /** Readings of edges and creases, by panel: what is thin there is taped, and does not hold the field back. */
  edges?: Readings
  defects: Readonly<Record<string, readonly Defect[]>>
  /** Panels under a film, which are judged by it and not by their readings. */
  films?: readonly string[]
  /** What the ledger says was removed from each panel at earlier visits. */
  taken?: Readonly<Record<string, Taken>>
  /** Panels that were inspected, whatever was found; one with a defect was, too. */
  inspected?: readonly string[]
}

export type PanelJudgement = {
  panel: Panel
  paint: PanelPaint
  statistics?: PanelStatistics
  finding: Finding
  /** What the readings say by themselves, where somebody has told otherwise, and why. */
  overruled?: { was: Finding; why: string }
  budget: RemovalBudget
  /** Under a film: how the paint beneath is judged once that is off, before anybody has read it. */
  beneath?: { finding: Finding; budget: RemovalBudget }
  /** Its edge, where that was read for itself: the lowest spot, and what may be taken there, µm. */
  edge?: { lowestSpotUm: number; budgetUm: number }
  condition: Condition
  /** Whether somebody has inspected it: before, its condition is nobody’s word. */
  inspected: boolean
  /** What can be done about each defect, in the order given. */
  prospects: Prospect[]
}

/** What the readings of a car say of it as a whole, beyond any panel. */
export const REMARKS = ['all-high', 'uneven', 'panels-thinner', 'respray-told'] as const
export type Remark = (typeof REMARKS)[number]

export type VehicleJudgement = {
  baseline?: Baseline
  remarks: Remark[]
  panels: PanelJudgement[]
  /** Of what was inspected; undefined while nothing is. */
  grade?: Grade
  /** Panels with at least one reading, of those a gauge can read. */
  read: { panels: number; of: number }
}

/** Judges a vehicle panel by panel from its readings (µm) and defects. Pure; order of panels is kept. */
export function judge(input: SurveyInput): VehicleJudgement {
  const there = panelsAsTheyAre(input.panels, input.facts)
  const baseline = vehicleBaseline(
    there.filter(({ id }) => !input.films?.includes(id)),
    input.readings,
  )
  const spread = spreadOf([input.readings], input.spotSizes)
  const panels = there.map((panel) => judgePanel(panel, input, baseline, spread))
  const grade = gradeOf(panels)
  const readable = panels.filter(({ finding }) => finding.kind !== 'unreadable' && finding.kind !== 'film')
  return {
    ...(baseline ? { baseline } : {}),
    remarks: remarksOn(panels, baseline, input),
    panels,
    ...(grade ? { grade } : {}),
    read: { panels: readable.filter(({ statistics }) => statistics).length, of: readable.length },
  }
}

/** A panel as somebody says it is, with what its readings give for that. */
function toldFinding(
  as: Overruled['as'],
  statistics: PanelStatistics,
  baseline: Baseline | undefined,
): Finding {
  const aboveBaselineUm = baseline ? statistics.medianUm - baseline.medianUm : 0
  if (as === 'repainted') return { kind: as, aboveBaselineUm, stepUm: baseline?.stepUm ?? RESPRAY_STEP_UM }
  if (as === 'filler-likely') return { kind: as, highestUm: statistics.maxUm }
  return { kind: as, aboveBaselineUm }
}

/** Somebody has said of a panel that it was sprayed, or when. */
const saysWhere = (facts: PanelsFacts = {}) =>
  Object.values(facts).some(({ sprayedOn, overruled }) => sprayedOn ?? overruled?.as === 'repainted')

function remarksOn(
  panels: readonly PanelJudgement[],
  baseline: Baseline | undefined,
  { resprayTold = false, facts }: SurveyInput,
): Remark[] {
  if (!baseline) return []
  const holds: Record<Remark, boolean> = {
    'all-high': baseline.medianUm > HIGH_LEVEL_UM,
    uneven: baseline.madUm > UNEVEN_MAD_UM,
    'panels-thinner': panels.some(({ finding }) => finding.kind === 'thinner'),
    // A gauge knows what is usual on this car, not what is original.
    'respray-told': resprayTold && !saysWhere(facts),
  }
  return REMARKS.filter((remark) => holds[remark])
}

function judgePanel(
  panel: Panel,
  input: SurveyInput,
  baseline: Baseline | undefined,
  spread: Spread,
): PanelJudgement {
  const paint = paintOf(panel, input.panels, input)
  const statistics = panelStatistics(
    panel,
    input.readings[panel.id] ?? [],
    spread,
    input.spotSizes?.[panel.id],
  )
  const read = input.films?.includes(panel.id)
    ? ({ kind: 'film', why: 'film' } as const)
    : findingOf(panel, paint.system, statistics, baseline)
  const told = statistics && input.facts?.[panel.id]?.overruled
  const finding = told ? toldFinding(told.as, statistics, baseline) : read
  const budget = removalBudget(finding, statistics, input.school, input.taken?.[panel.id])
  const beneath = read.kind === 'film' && read.why === 'film' && unread(panel, paint, input, baseline)
  const edge = edgeOf(input.edges?.[panel.id] ?? [], input.school, input.taken?.[panel.id])
  const defects = (input.defects[panel.id] ?? []).map((defect) => asDeep(defect, input.depths))
  return {
    panel,
    paint,
    ...(statistics ? { statistics } : {}),
    finding,
    ...(told ? { overruled: { was: read, why: told.why } } : {}),
    budget,
    ...(beneath ? { beneath } : {}),
    ...(edge ? { edge } : {}),
    condition: panelCondition(defects),
    inspected: defects.length > 0 || (input.inspected ?? []).includes(panel.id),
    prospects: defects.map((defect) => prospectOf(defect, budget)),
  }
}

/** Paint nobody has read. */
function unread(
  panel: Panel,
  paint: PanelPaint,
  { school, taken }: SurveyInput,
  baseline: Baseline | undefined,
): NonNullable<PanelJudgement['beneath']> {
  const finding = findingOf(panel, paint.system, undefined, baseline)
  return { finding, budget: removalBudget(finding, undefined, school, taken?.[panel.id]) }
}

/** A panel once the film on it is off: paint nobody has read or inspected. One without film stays as it is. */
export function onceBare({ beneath, ...judged }: PanelJudgement): PanelJudgement {
  if (!beneath) return judged
  const prospects = judged.prospects.map(({ defect }) => prospectOf(defect, beneath.budget))
  return { ...judged, ...beneath, prospects }
}

/** What an edge may still give; undefined where it was not read for itself. */
function edgeOf(
  readingsUm: readonly number[],
  school: School,
  taken: Taken | undefined,
): PanelJudgement['edge'] {
  if (readingsUm.length === 0) return undefined
  const lowestSpotUm = Math.min(...spotsOf(readingsUm).map(({ meanUm }) => meanUm))
  return { lowestSpotUm, budgetUm: filmBudget(lowestSpotUm, school, taken).budgetUm }
}

/** What a judgement needs to know of the vehicle. */
export type Painted = {
  shape: Shape
  paintSystem: PaintSystem
  finish?: Finish
  panelFacts?: PanelsFacts
  treatments?: readonly EarlierTreatment[]
}

/** What of the shop’s set-up a judgement goes by. */
export type Judging = { school: School; depths?: DepthScales }

/** A vehicle judged from what is recorded of the round before the work, and from what the ledger says is gone. */
export function judgeRecord(
  { shape, paintSystem, finish, panelFacts, treatments = [] }: Painted,
  { school, depths }: Judging,
  record: Pick<SurveyRecord, 'before' | 'defects' | 'films'> &
    Partial<Pick<SurveyRecord, 'inspected' | 'found'>>,
  taken: Readonly<Record<string, Taken>>,
): VehicleJudgement {
  return judge({
    panels: panelsOf(shape),
    paintSystem,
    ...(finish ? { finish } : {}),
    ...(panelFacts ? { facts: panelFacts } : {}),
    resprayTold: treatments.some(({ kind }) => kind === 'respray'),
    school,
    ...(depths ? { depths } : {}),
    readings: countedReadings(record.before),
    edges: edgeReadings(record.before),
    defects: allDefects(record),
    films: record.films,
    taken,
    ...(record.inspected ? { inspected: record.inspected } : {}),
  })
}

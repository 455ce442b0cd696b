import { type PaintSystem, type Panel, panelsOf, type Shape } from '../vehicle'
import type { Baseline } from './baseline'
import { type RemovalBudget, removalBudget, type School } from './budget'
import { type Condition, panelCondition } from './condition'
import type { Defect } from './defects'
import {
  type Finding,
  findingOf,
  type PanelStatistics,
  panelStatistics,
  type Readings,
  vehicleBaseline,
} from './finding'
import { type Grade, gradeOf } from './grade'
import type { Taken } from './ledger'
import { type Prospect, prospectOf } from './prospect'
import { countedReadings, type SurveyRecord } from './record'

export type SurveyInput = {
  panels: readonly Panel[]
  paintSystem: PaintSystem
  school: School
  readings: Readings
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
  statistics?: PanelStatistics
  finding: Finding
  budget: RemovalBudget
  condition: Condition
  /** Whether somebody has inspected it: before, its condition is nobody’s word. */
  inspected: boolean
  /** What can be done about each defect, in the order given. */
  prospects: Prospect[]
}

export type VehicleJudgement = {
  baseline?: Baseline
  panels: PanelJudgement[]
  /** Of what was inspected; undefined while nothing is. */
  grade?: Grade
  /** Panels with at least one reading, of those a gauge can read. */
  read: { panels: number; of: number }
}

/** Judges a vehicle panel by panel from its readings (µm) and defects. Pure; order of panels is kept. */
export function judge(input: SurveyInput): VehicleJudgement {
  const baseline = vehicleBaseline(
    input.panels.filter(({ id }) => !input.films?.includes(id)),
    input.readings,
  )
  const panels = input.panels.map((panel) => judgePanel(panel, input, baseline))
  const grade = gradeOf(panels)
  const readable = panels.filter(({ finding }) => finding.kind !== 'unreadable' && finding.kind !== 'film')
  return {
    ...(baseline ? { baseline } : {}),
    panels,
    ...(grade ? { grade } : {}),
    read: { panels: readable.filter(({ statistics }) => statistics).length, of: readable.length },
  }
}

function judgePanel(panel: Panel, input: SurveyInput, baseline: Baseline | undefined): PanelJudgement {
  const statistics = panelStatistics(panel, input.readings[panel.id] ?? [])
  const finding = input.films?.includes(panel.id)
    ? ({ kind: 'film', why: 'film' } as const)
    : findingOf(panel, input.paintSystem, statistics, baseline)
  const budget = removalBudget(finding, statistics, input.school, input.taken?.[panel.id])
  const defects = input.defects[panel.id] ?? []
  return {
    panel,
    ...(statistics ? { statistics } : {}),
    finding,
    budget,
    condition: panelCondition(defects),
    inspected: defects.length > 0 || (input.inspected ?? []).includes(panel.id),
    prospects: defects.map((defect) => prospectOf(defect, budget)),
  }
}

/** A vehicle judged from what is recorded of the round before the work, and from what the ledger says is gone. */
export function judgeRecord(
  { shape, paintSystem }: { shape: Shape; paintSystem: PaintSystem },
  school: School,
  record: Pick<SurveyRecord, 'before' | 'defects' | 'films'> & Partial<Pick<SurveyRecord, 'inspected'>>,
  taken: Readonly<Record<string, Taken>>,
): VehicleJudgement {
  return judge({
    panels: panelsOf(shape),
    paintSystem,
    school,
    readings: countedReadings(record.before),
    defects: record.defects,
    films: record.films,
    taken,
    ...(record.inspected ? { inspected: record.inspected } : {}),
  })
}

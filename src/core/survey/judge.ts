import type { PaintSystem, Panel } from '../vehicle'
import type { Baseline } from './baseline'
import { type RemovalBudget, removalBudget, type School } from './budget'
import { type Condition, type Letter, letterOf, panelCondition, vehicleIndex } from './condition'
import type { Defect } from './defects'
import {
  type Finding,
  findingOf,
  type PanelStatistics,
  panelStatistics,
  type Readings,
  vehicleBaseline,
} from './finding'

export type SurveyInput = {
  panels: readonly Panel[]
  paintSystem: PaintSystem
  school: School
  readings: Readings
  defects: Readonly<Record<string, readonly Defect[]>>
  /** µm already removed from each panel at earlier visits. */
  takenUm?: Readonly<Record<string, number>>
}

export type PanelJudgement = {
  panel: Panel
  statistics?: PanelStatistics
  finding: Finding
  budget: RemovalBudget
  condition: Condition
}

export type VehicleJudgement = {
  baseline?: Baseline
  panels: PanelJudgement[]
  index: number
  letter: Letter
  /** Panels with at least one reading, of those a gauge can read. */
  read: { panels: number; of: number }
}

/** Judges a vehicle panel by panel from its readings (µm) and defects. Pure; order of panels is kept. */
export function judge(input: SurveyInput): VehicleJudgement {
  const baseline = vehicleBaseline(input.panels, input.readings)
  const panels = input.panels.map((panel) => judgePanel(panel, input, baseline))
  const byId = new Map(panels.map((judged) => [judged.panel.id, judged]))
  const index = vehicleIndex(input.panels, (panel) => byId.get(panel.id)!.condition.index)
  const readable = panels.filter(({ finding }) => finding.kind !== 'unreadable' && finding.kind !== 'film')
  return {
    ...(baseline ? { baseline } : {}),
    panels,
    index,
    letter: letterOf(index),
    read: { panels: readable.filter(({ statistics }) => statistics).length, of: readable.length },
  }
}

function judgePanel(panel: Panel, input: SurveyInput, baseline: Baseline | undefined): PanelJudgement {
  const statistics = panelStatistics(panel, input.readings[panel.id] ?? [])
  const finding = findingOf(panel, input.paintSystem, statistics, baseline)
  return {
    panel,
    ...(statistics ? { statistics } : {}),
    finding,
    budget: removalBudget(finding, statistics, input.school, input.takenUm?.[panel.id] ?? 0),
    condition: panelCondition(input.defects[panel.id] ?? []),
  }
}

import type { Defect, DefectKind, Finding, Severity } from '../survey'
import { panelCondition } from '../survey'
import type { PracticePanel } from './panel'

/** What somebody took a practice panel to be. */
export type Grade = { finding: Finding['kind']; defects: Defect[] }

export type Comparison = {
  /** 0–100: how near the grade comes to the model. */
  nearness: number
  indexGraded: number
  indexTrue: number
  findingRight: boolean
  /** Empty where there is none. */
  differences: Difference[]
}

/** One thing a grade has otherwise than the panel; extents in percent of the panel. */
export type Difference =
  | { kind: 'missed'; mark: Defect }
  | { kind: 'invented'; mark: DefectKind }
  | { kind: 'severity'; mark: DefectKind; truth: Severity; graded: Severity }
  | { kind: 'extent'; mark: DefectKind; truth: number; graded: number }

/** What each kind of miss takes from the nearness, points (mem). */
const COST = { indexPoint: 1, missed: 12, invented: 8, finding: 15 } as const

/** Holds a grade against what is really on the panel. */
export function compareGrade(panel: PracticePanel, grade: Grade): Comparison {
  const indexTrue = panelCondition(panel.defects).index
  const indexGraded = panelCondition(grade.defects).index
  const seen = (defect: Defect) => grade.defects.find(({ kind }) => kind === defect.kind)
  const missed = panel.defects.filter((defect) => !seen(defect))
  const invented = grade.defects.filter(({ kind }) => !panel.defects.some((defect) => defect.kind === kind))
  const findingRight = grade.finding === panel.finding
  const cost =
    COST.indexPoint * Math.abs(indexGraded - indexTrue) +
    COST.missed * missed.length +
    COST.invented * invented.length +
    (findingRight ? 0 : COST.finding)
  return {
    nearness: Math.max(0, 100 - cost),
    indexGraded,
    indexTrue,
    findingRight,
    differences: [
      ...missed.map((mark): Difference => ({ kind: 'missed', mark })),
      ...invented.map(({ kind }): Difference => ({ kind: 'invented', mark: kind })),
      ...panel.defects.flatMap((defect) => differences(defect, seen(defect))),
    ],
  }
}

function differences(truth: Defect, graded: Defect | undefined): Difference[] {
  if (!graded) return []
  const mark = truth.kind
  return [
    ...(graded.severity === truth.severity
      ? []
      : [{ kind: 'severity', mark, truth: truth.severity, graded: graded.severity } as const]),
    ...(graded.extentPercent === truth.extentPercent
      ? []
      : [{ kind: 'extent', mark, truth: truth.extentPercent, graded: graded.extentPercent } as const]),
  ]
}

import type { Defect, Finding } from '../survey'
import { DEFECT_MODEL, panelCondition, SEVERITY_NAME } from '../survey'
import type { PracticePanel } from './panel'

/** What somebody took a practice panel to be. */
export type Grade = { finding: Finding['kind']; defects: Defect[] }

export type Comparison = {
  /** 0–100: how near the grade comes to the model. */
  nearness: number
  indexGraded: number
  indexTrue: number
  findingRight: boolean
  /** One sentence for each difference; empty where there is none. */
  notes: string[]
}

/** What each kind of miss takes from the nearness, points (mem). */
const COST = { indexPoint: 1, missed: 12, invented: 8, finding: 15 } as const

const name = (defect: Defect) => DEFECT_MODEL[defect.kind].name.toLowerCase()

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
    notes: [
      ...missed.map(
        (defect) =>
          `Not seen: ${name(defect)}, ${SEVERITY_NAME[defect.severity]}, ${defect.extentPercent} %.`,
      ),
      ...invented.map((defect) => `Not there: ${name(defect)}.`),
      ...panel.defects.flatMap((defect) => differences(defect, seen(defect))),
    ],
  }
}

function differences(truth: Defect, graded: Defect | undefined): string[] {
  if (!graded) return []
  const notes: string[] = []
  const said = DEFECT_MODEL[truth.kind].name
  if (graded.severity !== truth.severity)
    notes.push(`${said}: ${SEVERITY_NAME[truth.severity]}, you said ${SEVERITY_NAME[graded.severity]}.`)
  if (graded.extentPercent !== truth.extentPercent)
    notes.push(`${said}: on ${truth.extentPercent} % of the panel, you said ${graded.extentPercent} %.`)
  return notes
}

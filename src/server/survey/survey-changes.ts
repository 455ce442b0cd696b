import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type NotedDefect, PHASES, type SurveyRecord } from '@/core/survey'
import { noteChange } from '../db/note-change'

/** Keeps what was read and seen on the panels whose record is another now; the notes beside them stay out. */
export async function noteSurveyed(
  trx: Knex,
  jobId: JobId,
  before: SurveyRecord,
  after: SurveyRecord,
): Promise<void> {
  const [stood, stands] = [factsByPanel(before), factsByPanel(after)]
  const changed = [...new Set([...stood.keys(), ...stands.keys()])].filter(
    (panel) => JSON.stringify(stood.get(panel)) !== JSON.stringify(stands.get(panel)),
  )
  const only = (facts: ReadonlyMap<string, unknown>) =>
    Object.fromEntries(changed.map((panel) => [panel, facts.get(panel) ?? {}]))
  await noteChange(trx, { of: 'surveys', key: jobId }, only(stood), only(stands))
}

type Facts = Record<string, unknown>

function factsByPanel(record: SurveyRecord): Map<string, Facts> {
  const byPanel = new Map<string, Facts>()
  const add = <T>(name: string, values: Readonly<Record<string, T>>, shown: (value: T) => unknown) => {
    for (const [panel, value] of Object.entries(values))
      byPanel.set(panel, { ...byPanel.get(panel), [name]: shown(value) })
  }
  for (const phase of PHASES) {
    const { readings, gloss, clarity } = record[phase]
    add(`film_${phase}_um`, readings, (all) => all.map(({ um }) => um))
    add(`gloss_${phase}_gu`, gloss, (all) => all)
    add(`clarity_${phase}`, clarity, (value) => value)
  }
  add('marks', record.defects, marks)
  add('marks_found', record.found, marks)
  return byPanel
}

const marks = (defects: readonly NotedDefect[]) =>
  defects.map(({ kind, severity, extentPercent }) => `${kind} ${severity}, ${extentPercent}%`)

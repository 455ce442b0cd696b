import type { Knex } from 'knex'
import { ok, type Result, refused } from '@/core/result'
import type { DefectKind, Severity } from '@/core/survey'
import type { Instant } from '@/core/time'
import type { SurveyData } from './survey-schema'

export type StoredSurvey = SurveyData & { version: number }

/** Someone else wrote in between; what stands there now comes with the refusal. */
export type StaleSurvey = { code: 'survey-stale'; current: StoredSurvey }

export async function loadSurvey(db: Knex, jobId: string): Promise<StoredSurvey> {
  const survey = await db('surveys').where({ job_id: jobId }).first()
  const readingRows = await db('readings').where({ job_id: jobId }).orderBy(['panel', 'position'])
  const defectRows = await db('defects').where({ job_id: jobId }).orderBy(['panel', 'position'])
  const readings: SurveyData['readings'] = {}
  for (const row of readingRows) {
    readings[row.panel] ??= []
    readings[row.panel]!.push(row.film_um_x10 / 10)
  }
  const defects: SurveyData['defects'] = {}
  for (const row of defectRows) {
    defects[row.panel] ??= []
    defects[row.panel]!.push({
      kind: row.kind as DefectKind,
      severity: row.severity as Severity,
      extentPercent: row.extent_percent,
      catchesNail: row.catches_nail === 1,
    })
  }
  return { version: survey?.version ?? 0, readings, defects }
}

/** Writes a whole survey over the version it was read at; refuses when another has been written since. */
export async function saveSurvey(
  db: Knex,
  jobId: string,
  readAt: number,
  data: SurveyData,
  now: Instant,
): Promise<Result<{ version: number }, StaleSurvey>> {
  const written = await db.transaction(async (trx) => {
    const updated = await trx('surveys')
      .where({ job_id: jobId, version: readAt })
      .update({ version: readAt + 1, updated_at: now })
    if (updated === 0) return false
    await trx('readings').where({ job_id: jobId }).delete()
    await trx('defects').where({ job_id: jobId }).delete()
    const { readings, defects } = surveyRows(jobId, data)
    if (readings.length > 0) await trx.batchInsert('readings', readings, 100)
    if (defects.length > 0) await trx.batchInsert('defects', defects, 100)
    return true
  })
  if (!written) return refused({ code: 'survey-stale', current: await loadSurvey(db, jobId) })
  return ok({ version: readAt + 1 })
}

function surveyRows(jobId: string, data: SurveyData) {
  const readings = Object.entries(data.readings).flatMap(([panel, values]) =>
    values.map((um, position) => ({ job_id: jobId, panel, position, film_um_x10: Math.round(um * 10) })),
  )
  const defects = Object.entries(data.defects).flatMap(([panel, list]) =>
    list.map((defect, position) => ({
      job_id: jobId,
      panel,
      position,
      kind: defect.kind,
      severity: defect.severity,
      extent_percent: defect.extentPercent,
      catches_nail: defect.catchesNail ? 1 : 0,
    })),
  )
  return { readings, defects }
}

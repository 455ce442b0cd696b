import type { Knex } from 'knex'
import { ok, type Result, refused } from '@/core/result'
import {
  type DefectKind,
  emptyRecord,
  type NotedDefect,
  PHASES,
  type Phase,
  type PlaceDefectKind,
  type Reading,
  type Severity,
  type StoredSurvey,
  type SurveyRecord,
} from '@/core/survey'
import type { Instant } from '@/core/time'

/** Someone else wrote in between; what stands there now comes with the refusal. */
export type StaleSurvey = { code: 'survey-stale'; current: StoredSurvey }

type FilmRow = { phase: Phase; panel: string; film_um_x10: number; settled: 'kept' | 'set-aside' | null }
type GlossRow = { phase: Phase; panel: string; gu_x10: number }
type ClarityRow = { phase: Phase; panel: string; clarity: number }
type DefectRow = {
  panel: string
  kind: string
  severity: number
  extent_percent: number
  catches_nail: 0 | 1
  note: string
  at_x: number | null
  at_y: number | null
}
type PlaceRow = { place: string; kind: string; severity: number; note: string }

function append<T>(rows: Record<string, T[]>, id: string, value: T): void {
  rows[id] ??= []
  rows[id].push(value)
}

function toReading({ film_um_x10, settled }: FilmRow): Reading {
  return { um: film_um_x10 / 10, ...(settled ? { settled } : {}) }
}

function toDefect(row: DefectRow): NotedDefect {
  return {
    kind: row.kind as DefectKind,
    severity: row.severity as Severity,
    extentPercent: row.extent_percent,
    catchesNail: row.catches_nail === 1,
    ...(row.at_x === null || row.at_y === null ? {} : { at: { x: row.at_x, y: row.at_y } }),
    ...(row.note ? { note: row.note } : {}),
  }
}

export async function loadSurvey(db: Knex, jobId: string): Promise<StoredSurvey> {
  const own = { job_id: jobId }
  const survey = await db('surveys').where(own).first()
  const record = emptyRecord()
  for (const row of (await db('film_readings').where(own).orderBy(['panel', 'position'])) as FilmRow[])
    append(record[row.phase].readings, row.panel, toReading(row))
  for (const row of (await db('gloss_readings').where(own).orderBy(['panel', 'position'])) as GlossRow[])
    append(record[row.phase].gloss, row.panel, row.gu_x10 / 10)
  for (const row of (await db('clarity').where(own)) as ClarityRow[])
    record[row.phase].clarity[row.panel] = row.clarity
  for (const row of (await db('defects').where(own).orderBy(['panel', 'position'])) as DefectRow[])
    append(record.defects, row.panel, toDefect(row))
  for (const row of (await db('place_defects').where(own).orderBy(['place', 'position'])) as PlaceRow[])
    append(record.places, row.place, {
      kind: row.kind as PlaceDefectKind,
      severity: row.severity as Severity,
      note: row.note,
    })
  const films: { panel: string }[] = await db('films').where(own).orderBy('panel')
  record.films = films.map(({ panel }) => panel)
  const looked: { item: string }[] = await db('looked').where(own).orderBy('item')
  record.looked = looked.map(({ item }) => item)
  return { version: survey?.version ?? 0, ...record }
}

const TABLES = [
  'film_readings',
  'gloss_readings',
  'clarity',
  'defects',
  'place_defects',
  'films',
  'looked',
] as const

/** Writes a whole survey over the version it was read at; refuses when another has been written since. */
export async function saveSurvey(
  db: Knex,
  jobId: string,
  readAt: number,
  record: SurveyRecord,
  now: Instant,
): Promise<Result<{ version: number }, StaleSurvey>> {
  const written = await db.transaction(async (trx) => {
    const updated = await trx('surveys')
      .where({ job_id: jobId, version: readAt })
      .update({ version: readAt + 1, updated_at: now })
    if (updated === 0) return false
    const rows = surveyRows(jobId, record)
    for (const table of TABLES) {
      await trx(table).where({ job_id: jobId }).delete()
      if (rows[table].length > 0) await trx.batchInsert(table, rows[table], 100)
    }
    return true
  })
  if (!written) return refused({ code: 'survey-stale', current: await loadSurvey(db, jobId) })
  return ok({ version: readAt + 1 })
}

function surveyRows(jobId: string, record: SurveyRecord): Record<(typeof TABLES)[number], object[]> {
  const own = { job_id: jobId }
  const listed = <T, R extends object>(
    rows: Record<string, readonly T[]>,
    toRow: (id: string, value: T) => R,
  ) =>
    Object.entries(rows).flatMap(([id, values]) =>
      values.map((value, position) => ({ ...own, position, ...toRow(id, value) })),
    )
  const phased = <R extends object>(of: (phase: Phase) => R[]) =>
    PHASES.flatMap((phase) => of(phase).map((row) => ({ ...row, phase })))
  return {
    film_readings: phased((phase) =>
      listed(record[phase].readings, (panel, { um, settled }) => ({
        panel,
        film_um_x10: Math.round(um * 10),
        settled: settled ?? null,
      })),
    ),
    gloss_readings: phased((phase) =>
      listed(record[phase].gloss, (panel, gu) => ({ panel, gu_x10: Math.round(gu * 10) })),
    ),
    clarity: phased((phase) =>
      Object.entries(record[phase].clarity).map(([panel, clarity]) => ({ ...own, panel, clarity })),
    ),
    defects: listed(record.defects, (panel, defect) => ({
      panel,
      kind: defect.kind,
      severity: defect.severity,
      extent_percent: defect.extentPercent,
      catches_nail: defect.catchesNail ? 1 : 0,
      note: defect.note ?? '',
      at_x: defect.at?.x ?? null,
      at_y: defect.at?.y ?? null,
    })),
    place_defects: listed(record.places, (place, { kind, severity, note }) => ({
      place,
      kind,
      severity,
      note,
    })),
    films: record.films.map((panel) => ({ ...own, panel })),
    looked: record.looked.map((item) => ({ ...own, item })),
  }
}

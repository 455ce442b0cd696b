import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
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
import type {
  ClarityRow,
  DefectsRow,
  FilmReadingsRow,
  FilmsRow,
  FoundDefectsRow,
  GlossReadingsRow,
  InspectedAgainRow,
  InspectedPanelsRow,
  LookedRow,
  MarkedPanelsRow,
  PlaceDefectsRow,
  SurveysRow,
} from '../db/tables'
import { noteSurveyed } from './survey-changes'

/** Someone else wrote in between; what stands there now comes with the refusal. */
export type StaleSurvey = { code: 'survey-stale'; current: StoredSurvey }

function append<T>(rows: Record<string, T[]>, id: string, value: T): void {
  rows[id] ??= []
  rows[id].push(value)
}

function toReading({ film_um_x10, settled, on_edge }: FilmReadingsRow): Reading {
  if (on_edge === 1) return { um: film_um_x10 / 10, settled: 'edge' }
  return { um: film_um_x10 / 10, ...(settled ? { settled } : {}) }
}

function toDefect(row: DefectsRow | FoundDefectsRow): NotedDefect {
  return {
    kind: row.kind as DefectKind,
    severity: row.severity as Severity,
    extentPercent: row.extent_percent,
    catchesNail: row.catches_nail === 1,
    ...(row.at_x === null || row.at_y === null ? {} : { at: { x: row.at_x, y: row.at_y } }),
    ...(row.note ? { note: row.note } : {}),
  }
}

const fromDefect = (panel: string, defect: NotedDefect) => ({
  panel,
  kind: defect.kind,
  severity: defect.severity,
  extent_percent: defect.extentPercent,
  catches_nail: defect.catchesNail ? 1 : 0,
  note: defect.note ?? '',
  at_x: defect.at?.x ?? null,
  at_y: defect.at?.y ?? null,
})

export async function loadSurvey(db: Knex, jobId: JobId): Promise<StoredSurvey> {
  return (await loadSurveys(db, [jobId])).get(jobId)!
}

/** The surveys of jobs, by their ids; one nobody has begun is empty. So many queries whatever number of jobs is asked for. */
export async function loadSurveys(db: Knex, jobIds: readonly JobId[]): Promise<Map<JobId, StoredSurvey>> {
  const surveys = new Map<JobId, StoredSurvey>(jobIds.map((id) => [id, { version: 0, ...emptyRecord() }]))
  const each = async <Name extends keyof Rows>(
    table: Name,
    order: readonly string[],
    take: (survey: StoredSurvey, row: Rows[Name]) => void,
  ) => {
    const rows: Rows[Name][] = await db(table as string)
      .whereIn('job_id', jobIds)
      .orderBy([...order])
    for (const row of rows) take(surveys.get(row.job_id)!, row)
  }
  await each('surveys', [], (survey, { version }) => {
    survey.version = version
  })
  await each('film_readings', ['panel', 'position'], (survey, row) =>
    append(survey[row.phase].readings, row.panel, toReading(row)),
  )
  await each('gloss_readings', ['panel', 'position'], (survey, row) =>
    append(survey[row.phase].gloss, row.panel, row.gu_x10 / 10),
  )
  await each('clarity', [], (survey, row) => {
    survey[row.phase].clarity[row.panel] = row.clarity
  })
  await each('defects', ['panel', 'position'], (survey, row) =>
    append(survey.defects, row.panel, toDefect(row)),
  )
  await each('found_defects', ['panel', 'position'], (survey, row) =>
    append(survey.found, row.panel, toDefect(row)),
  )
  await each('inspected_again', ['panel'], (survey, { panel }) => survey.again.push(panel))
  await each('place_defects', ['place', 'position'], (survey, row) =>
    append(survey.places, row.place, {
      kind: row.kind as PlaceDefectKind,
      severity: row.severity as Severity,
      note: row.note,
    }),
  )
  await each('films', ['panel'], (survey, { panel }) => survey.films.push(panel))
  await each('inspected_panels', ['panel'], (survey, { panel }) => survey.inspected.push(panel))
  await each('marked_panels', ['panel'], (survey, { panel }) => survey.marked.push(panel))
  await each('looked', ['item'], (survey, { item }) => survey.looked.push(item))
  return surveys
}

type Rows = {
  surveys: SurveysRow
  film_readings: FilmReadingsRow
  gloss_readings: GlossReadingsRow
  clarity: ClarityRow
  defects: DefectsRow
  found_defects: FoundDefectsRow
  inspected_again: InspectedAgainRow
  place_defects: PlaceDefectsRow
  films: FilmsRow
  inspected_panels: InspectedPanelsRow
  marked_panels: MarkedPanelsRow
  looked: LookedRow
}

const TABLES = [
  'film_readings',
  'gloss_readings',
  'clarity',
  'defects',
  'found_defects',
  'inspected_again',
  'place_defects',
  'films',
  'inspected_panels',
  'marked_panels',
  'looked',
] as const

/** The version of a survey nobody has written in yet. */
export const FIRST_SURVEY = 1

/** Well under what SQLite takes in one statement, whatever the table. */
const ROWS_AT_ONCE = 500

/** Writes a whole survey over the version it was read at; refuses when another has been written since. */
export async function saveSurvey(
  db: Knex,
  jobId: JobId,
  readAt: number,
  record: SurveyRecord,
  now: Instant,
): Promise<Result<{ version: number }, StaleSurvey>> {
  const written = await db.transaction(async (trx) => {
    const before = await loadSurvey(trx, jobId)
    const updated = await trx('surveys')
      .where({ job_id: jobId, version: readAt })
      .update({ version: readAt + 1, updated_at: now })
    if (updated === 0) return false
    await noteSurveyed(trx, jobId, before, record)
    const rows = surveyRows(jobId, record)
    for (const table of TABLES) {
      // Every write counts the version up: in its first there is nothing to replace.
      if (readAt !== FIRST_SURVEY) await trx(table).where({ job_id: jobId }).delete()
      for (let from = 0; from < rows[table].length; from += ROWS_AT_ONCE)
        await trx(table).insert(rows[table].slice(from, from + ROWS_AT_ONCE) as never)
    }
    return true
  })
  if (!written) return refused({ code: 'survey-stale', current: await loadSurvey(db, jobId) })
  return ok({ version: readAt + 1 })
}

function surveyRows(jobId: JobId, record: SurveyRecord): Record<(typeof TABLES)[number], object[]> {
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
        settled: settled === 'edge' ? null : (settled ?? null),
        on_edge: settled === 'edge' ? 1 : 0,
      })),
    ),
    gloss_readings: phased((phase) =>
      listed(record[phase].gloss, (panel, gu) => ({ panel, gu_x10: Math.round(gu * 10) })),
    ),
    clarity: phased((phase) =>
      Object.entries(record[phase].clarity).map(([panel, clarity]) => ({ ...own, panel, clarity })),
    ),
    defects: listed(record.defects, fromDefect),
    found_defects: listed(record.found, fromDefect),
    inspected_again: record.again.map((panel) => ({ ...own, panel })),
    place_defects: listed(record.places, (place, { kind, severity, note }) => ({
      place,
      kind,
      severity,
      note,
    })),
    films: record.films.map((panel) => ({ ...own, panel })),
    inspected_panels: record.inspected.map((panel) => ({ ...own, panel })),
    marked_panels: record.marked.map((panel) => ({ ...own, panel })),
    looked: record.looked.map((item) => ({ ...own, item })),
  }
}

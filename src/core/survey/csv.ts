import { ok, type Result, refused } from '../result'
import { readTable, type Table, type TableError } from '../table'
import { filmUm, GAUGE_MAX_UM, milToUm } from '../units'
import type { Panel } from '../vehicle'
import type { Readings } from './finding'
import { median } from './statistics'

/** A fault in a table of readings. Line and column are counted from 1 and include the header line. */
export type ReadingsCsvError =
  | TableError
  | { code: 'no-column'; wanted: 'panel' | 'reading'; found: string[] }
  | { code: 'unknown-panel'; line: number; column: number; text: string; known: string[] }
  | { code: 'not-a-number'; line: number; column: number; text: string }
  | { code: 'out-of-range'; line: number; column: number; valueUm: number; maxUm: number }

/** No survey of one vehicle has more lines; a longer file is something else. */
export const MOST_LINES = 20_000

export const FILM_UNITS = ['um', 'mil'] as const
export type FilmUnit = (typeof FILM_UNITS)[number]

/**
 * What the columns of a table mean. Columns are counted from 0; a reading may stand in one column, or several
 * columns of the same line may each hold one. `panelFor` says which panel a text in the panel column stands for,
 * null for lines to leave out.
 */
export type Mapping = {
  header: boolean
  panelColumn: number
  readingColumns: number[]
  unit: FilmUnit
  panelFor: Readonly<Record<string, string | null>>
}

const PANEL_COLUMNS = ['panel', 'panel_id', 'panelid', 'panel_name', 'part', 'location', 'position', 'area']
const READING_COLUMN =
  /^(reading|film|film_?build|film_?thickness|thickness|value|measurement|dft)?s?_?\d*(_?\(?(mils?|um|µm|μm|microns?)\)?)?$/
/** An average film in mil lies between 3 and 6 on a car (common practice); none in µm is that thin. */
const BELOW_IS_MIL = 30

const headerKey = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '_')
const panelKey = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, '-')

function numberIn(text: string): number {
  const trimmed = text.trim().replace(/\s*(mils?|um|µm|μm)$/i, '')
  return /^[+-]?\d+([.,]\d+)?$/.test(trimmed) ? Number(trimmed.replace(',', '.')) : Number.NaN
}

const blank = (row: readonly string[]) => row.every((cell) => cell.trim() === '')

/** What the columns most likely mean. Columns not found are −1 and empty; the person at the screen has the last word. */
export function guessMapping({ rows }: Table, panels: readonly Panel[]): Mapping {
  const idOf = knownPanels(panels)
  const header = rows[0] ?? []
  const body = rows.slice(1, 40).filter((row) => !blank(row))
  const numeric = (column: number, of: string[][]) =>
    of.length > 0 && of.every((row) => !Number.isNaN(numberIn(row[column] ?? '')))
  /** A column that counts the lines is no reading. */
  const running = (column: number, of: string[][]) =>
    of.length > 1 &&
    of.every((row, at) => numberIn(row[column] ?? '') === numberIn(of[0]![column] ?? '') + at)
  const columns = Math.max(0, ...rows.slice(0, 40).map((row) => row.length))
  const all = Array.from({ length: columns }, (_, column) => column)
  const hasHeader = !header.some((cell) => !Number.isNaN(numberIn(cell)))
  const keys = hasHeader ? header.map(headerKey) : []
  const sample = hasHeader ? body : [header, ...body]
  const named = keys.findIndex((key) => PANEL_COLUMNS.includes(key))
  const byContent = all.find((column) => sample.some((row) => idOf.has(panelKey(row[column] ?? ''))))
  const panelColumn = named >= 0 ? named : (byContent ?? -1)
  const readingNamed = keys.flatMap((key, column) =>
    key !== '' && column !== panelColumn && READING_COLUMN.test(key) && !/^\d*$/.test(key) ? [column] : [],
  )
  const readingColumns =
    readingNamed.length > 0
      ? readingNamed
      : hasHeader
        ? []
        : all
            .filter((column) => column !== panelColumn && numeric(column, sample) && !running(column, sample))
            .slice(0, 1)
  return {
    header: hasHeader,
    panelColumn,
    readingColumns,
    unit: unitOfHeader(keys, readingColumns) ?? unitOfValues(sample, readingColumns),
    panelFor: guessPanels(sample, panelColumn, idOf),
  }
}

function unitOfHeader(keys: readonly string[], columns: readonly number[]): FilmUnit | undefined {
  const headers = columns.map((column) => keys[column] ?? '')
  if (headers.some((key) => /mils?\)?$/.test(key))) return 'mil'
  return headers.some((key) => /(um|µm|μm|microns?)\)?$/.test(key)) ? 'um' : undefined
}

function unitOfValues(sample: readonly string[][], columns: readonly number[]): FilmUnit {
  const values = sample
    .flatMap((row) => columns.map((column) => numberIn(row[column] ?? '')))
    .filter((value) => !Number.isNaN(value))
  return values.length > 0 && median(values) < BELOW_IS_MIL ? 'mil' : 'um'
}

function knownPanels(panels: readonly Panel[]): Map<string, string> {
  return new Map(
    panels.flatMap(({ id, name }) => [[panelKey(id), id] as const, [panelKey(name), id] as const]),
  )
}

function guessPanels(rows: readonly string[][], column: number, idOf: Map<string, string>) {
  const texts = new Set(rows.map((row) => (row[column] ?? '').trim()).filter((text) => text !== ''))
  return Object.fromEntries(
    [...texts].flatMap((text) => {
      const id = idOf.get(panelKey(text))
      return id ? [[text, id]] : []
    }),
  )
}

/** The texts in the panel column, each once, in the order they come. */
export function panelTexts({ rows }: Table, mapping: Mapping): string[] {
  const body = mapping.header ? rows.slice(1) : rows
  const texts = body.map((row) => (row[mapping.panelColumn] ?? '').trim())
  return [...new Set(texts.filter((text) => text !== ''))]
}

/**
 * The readings of a table by its mapping, µm by panel. Every fault is returned with its place, and none of the
 * readings if there is one. Lines of panels that are to be left out are not looked at.
 */
export function readingsFromTable(
  { rows }: Table,
  mapping: Mapping,
  panels: readonly Panel[],
): Result<Readings, ReadingsCsvError[]> {
  const { panelColumn, readingColumns, unit } = mapping
  const found = mapping.header ? (rows[0] ?? []) : []
  if (panelColumn < 0) return refused([{ code: 'no-column', wanted: 'panel', found }])
  if (readingColumns.length === 0) return refused([{ code: 'no-column', wanted: 'reading', found }])
  const idOf = knownPanels(panels)
  const byId = new Map(panels.map((panel) => [panel.id, panel]))
  const known = panels.map(({ id }) => id)
  const errors: ReadingsCsvError[] = []
  const readings: Record<string, number[]> = {}
  for (const [index, row] of rows.entries()) {
    if ((mapping.header && index === 0) || blank(row)) continue
    const line = index + 1
    const text = (row[panelColumn] ?? '').trim()
    const id = Object.hasOwn(mapping.panelFor, text) ? mapping.panelFor[text] : idOf.get(panelKey(text))
    if (id === null) continue
    const panel = id === undefined ? undefined : byId.get(id)
    if (!panel) errors.push({ code: 'unknown-panel', line, column: panelColumn + 1, text, known })
    for (const column of readingColumns) {
      const cell = row[column] ?? ''
      // With several readings on a line the last may be missing; with one it may not.
      if (cell.trim() === '' && readingColumns.length > 1) continue
      const value = numberIn(cell)
      const film = filmUm(unit === 'mil' ? milToUm(value) : value)
      if (Number.isNaN(value)) errors.push({ code: 'not-a-number', line, column: column + 1, text: cell })
      else if (!film.ok)
        errors.push({
          code: 'out-of-range',
          line,
          column: column + 1,
          valueUm: film.error.valueUm,
          maxUm: GAUGE_MAX_UM,
        })
      else if (panel) {
        readings[panel.id] ??= []
        readings[panel.id]!.push(film.value)
      }
    }
  }
  if (errors.length > 0) return refused(errors)
  return Object.keys(readings).length > 0 ? ok(readings) : refused([{ code: 'empty' }])
}

/**
 * Reads a table of film readings (RFC 4180) with a header that names a panel column and a reading column, without
 * asking anybody. Panels are found by id or name. Every fault is returned, none of the readings if there is one.
 */
export function readingsFromCsv(
  source: string | Uint8Array,
  panels: readonly Panel[],
): Result<Readings, ReadingsCsvError[]> {
  const table = readTable(source, MOST_LINES)
  if (!table.ok) return refused([table.error])
  const mapping = guessMapping(table.value, panels)
  const keys = mapping.header ? table.value.rows[0]!.map(headerKey) : []
  // Where nobody can be asked, a number without a unit is taken as written: µm.
  const unit = unitOfHeader(keys, mapping.readingColumns) ?? 'um'
  return readingsFromTable(table.value, { ...mapping, unit }, panels)
}

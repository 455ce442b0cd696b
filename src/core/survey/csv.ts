import Papa from 'papaparse'
import { ok, type Result, refused } from '../result'
import { filmUm, GAUGE_MAX_UM, milToUm } from '../units'
import type { Panel } from '../vehicle'
import type { Readings } from './finding'

/** A fault in a table of readings. Line and column are counted from 1 and include the header line. */
export type ReadingsCsvError =
  | { code: 'empty' }
  | { code: 'no-column'; wanted: 'panel' | 'reading'; found: string[] }
  | { code: 'unknown-panel'; line: number; column: number; text: string; known: string[] }
  | { code: 'not-a-number'; line: number; column: number; text: string }
  | { code: 'out-of-range'; line: number; column: number; valueUm: number; maxUm: number }
  | { code: 'malformed'; line: number; column: number; text: string }

const PANEL_COLUMNS = ['panel', 'panel_id', 'panelid', 'part', 'location']
/** Column names a reading may stand under, and what turns its number into µm. */
const READING_COLUMNS: [RegExp, (value: number) => number][] = [
  [/^(reading|film|film_?build|thickness|value)?_?(mils?)$/, milToUm],
  [/^(reading|film|film_?build|thickness|value)?_?\(?(um|µm|μm|microns?)\)?$/, (value) => value],
  [/^(reading|film|film_?build|thickness|value)s?$/, (value) => value],
]

const headerKey = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/^\uFEFF/, '')
    .replace(/[\s-]+/g, '_')
const panelKey = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, '-')

type Columns = { panel: number; reading: number; toUm: (value: number) => number }

function findColumns(header: string[]): Result<Columns, ReadingsCsvError> {
  const keys = header.map(headerKey)
  const panel = keys.findIndex((key) => PANEL_COLUMNS.includes(key))
  if (panel < 0) return refused({ code: 'no-column', wanted: 'panel', found: header })
  for (const [pattern, toUm] of READING_COLUMNS) {
    const reading = keys.findIndex((key) => key !== '' && pattern.test(key))
    if (reading >= 0) return ok({ panel, reading, toUm })
  }
  return refused({ code: 'no-column', wanted: 'reading', found: header })
}

function numberIn(text: string): number {
  const trimmed = text.trim()
  return /^[+-]?\d+([.,]\d+)?$/.test(trimmed) ? Number(trimmed.replace(',', '.')) : Number.NaN
}

/**
 * Reads a table of film readings (RFC 4180, one reading a line) with a header that names a panel column and a
 * reading column. Panels are found by id or name. Every fault is returned, none of the readings if there is one.
 */
export function readingsFromCsv(
  text: string,
  panels: readonly Panel[],
): Result<Readings, ReadingsCsvError[]> {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false })
  const [header, ...rows] = parsed.data
  if (!header || text.trim() === '') return refused([{ code: 'empty' }])
  const quotes = parsed.errors.filter(({ type }) => type === 'Quotes')
  if (quotes.length > 0)
    return refused(
      quotes.map(({ row, message }) => ({
        code: 'malformed' as const,
        line: (row ?? 0) + 1,
        column: 1,
        text: message,
      })),
    )
  const columns = findColumns(header)
  if (!columns.ok) return refused([columns.error])
  return readRows(rows, columns.value, panels)
}

function readRows(
  rows: string[][],
  columns: Columns,
  panels: readonly Panel[],
): Result<Readings, ReadingsCsvError[]> {
  const idOf = new Map(panels.flatMap(({ id, name }) => [[id, id] as const, [panelKey(name), id] as const]))
  const known = panels.map(({ id }) => id)
  const errors: ReadingsCsvError[] = []
  const readings: Record<string, number[]> = {}
  for (const [index, row] of rows.entries()) {
    if (row.every((cell) => cell.trim() === '')) continue
    const line = index + 2
    const panelText = row[columns.panel] ?? ''
    const id = idOf.get(panelKey(panelText))
    if (!id) errors.push({ code: 'unknown-panel', line, column: columns.panel + 1, text: panelText, known })
    const cell = row[columns.reading] ?? ''
    const column = columns.reading + 1
    const value = numberIn(cell)
    const film = filmUm(columns.toUm(value))
    if (Number.isNaN(value)) errors.push({ code: 'not-a-number', line, column, text: cell })
    else if (!film.ok)
      errors.push({ code: 'out-of-range', line, column, valueUm: film.error.valueUm, maxUm: GAUGE_MAX_UM })
    else if (id) {
      readings[id] ??= []
      readings[id].push(film.value)
    }
  }
  if (errors.length > 0) return refused(errors)
  return Object.keys(readings).length > 0 ? ok(readings) : refused([{ code: 'empty' }])
}

/** One sentence for a fault, with its place and what to do. */
export function readingsCsvErrorText(error: ReadingsCsvError): string {
  switch (error.code) {
    case 'empty':
      return 'The table holds no readings. It needs a header line “panel,reading_um” and a line for each reading.'
    case 'no-column':
      return `Line 1: no column for the ${error.wanted}. Name one “${error.wanted === 'panel' ? 'panel' : 'reading_um'}”; found: ${error.found.join(', ')}.`
    case 'unknown-panel':
      return `Line ${error.line}, column ${error.column}: “${error.text}” is no panel of this shape. Known: ${error.known.join(', ')}.`
    case 'not-a-number':
      return `Line ${error.line}, column ${error.column}: “${error.text}” is not a number. Write a reading in µm, such as 104 or 104.5.`
    case 'out-of-range':
      return `Line ${error.line}, column ${error.column}: ${error.valueUm} µm cannot be. Plausible readings lie between 0 and ${error.maxUm} µm.`
    case 'malformed':
      return `Line ${error.line}, column ${error.column}: ${error.text}. Close every quotation mark.`
  }
}

import Papa from 'papaparse'

/** Tables for any spreadsheet: RFC 4180, CRLF, a header, and nothing in a cell that a spreadsheet would run. */

export type Cell = string | number

/** Text that begins like a formula gets an apostrophe before it: `= + - @` and tab or return. Numbers stay numbers. */
export function writeCsv(columns: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const body = Papa.unparse(
    { fields: [...columns], data: rows.map((row) => [...row]) },
    { newline: '\r\n', escapeFormulae: true },
  )
  return `${body}\r\n`
}

import Papa from 'papaparse'
import { ok, type Result, refused } from './result'

/** A table as it came out of some other program: text in rows and columns, before anyone has said what they mean. */
export type Table = { rows: string[][]; delimiter: string }

export type TableError =
  | { code: 'empty' }
  | { code: 'not-text' }
  | { code: 'too-long'; lines: number; mostLines: number }
  | { code: 'malformed'; line: number; column: number; text: string }

/** Turns bytes into text by their byte order mark; without one as UTF-8, and failing that as Latin 1. */
function decode(bytes: Uint8Array): Result<string, TableError> {
  const marks: [number[], string][] = [
    [[0xef, 0xbb, 0xbf], 'utf-8'],
    [[0xff, 0xfe], 'utf-16le'],
    [[0xfe, 0xff], 'utf-16be'],
  ]
  const marked = marks.find(([mark]) => mark.every((byte, at) => bytes[at] === byte))
  if (marked) return ok(new TextDecoder(marked[1]).decode(bytes.subarray(marked[0].length)))
  // No text file holds a zero byte unless it is UTF-16, which says so at its beginning.
  if (bytes.subarray(0, 4096).includes(0)) return refused({ code: 'not-text' })
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    // Control characters have no place in a table; Latin 1 knows no others than tab and line end.
    const strange = bytes.subarray(0, 4096).filter((byte) => byte < 9 || (byte > 13 && byte < 32)).length
    return strange > 0 ? refused({ code: 'not-text' }) : ok(new TextDecoder('latin1').decode(bytes))
  }
}

function countLines(text: string): number {
  let lines = 1
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) lines++
  return lines
}

/** The separator that cuts the first lines into the most equal columns; a decimal comma does not fool it. */
function separatorOf(text: string): string {
  const sample = text.split(/\r?\n/, 12).filter((line) => line.trim() !== '')
  const score = (separator: string) => {
    const counts = sample.map((line) => line.split(separator).length - 1)
    const least = Math.min(...counts)
    return least > 0 && counts.every((count) => count === counts[0]) ? least + 100 : least
  }
  // In a table cut by semicolons every comma is a decimal one, so the comma is asked last.
  const order = [';', '\t', '|', ',']
  return order.reduce((best, separator) => (score(separator) > score(best) ? separator : best))
}

/** Reads a table of any usual separator and encoding (RFC 4180 where it can). Refuses what is no table, or longer than it can be. */
export function readTable(source: string | Uint8Array, mostLines: number): Result<Table, TableError> {
  const decoded = typeof source === 'string' ? ok<string>(source.replace(/^\uFEFF/, '')) : decode(source)
  if (!decoded.ok) return decoded
  const text = decoded.value
  if (text.trim() === '') return refused({ code: 'empty' })
  const lines = countLines(text)
  if (lines > mostLines) return refused({ code: 'too-long', lines, mostLines })
  const delimiter = separatorOf(text)
  const parsed = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: false })
  const quote = parsed.errors.find(({ type }) => type === 'Quotes')
  if (quote) return refused({ code: 'malformed', line: (quote.row ?? 0) + 1, column: 1, text: quote.message })
  return ok({ rows: parsed.data, delimiter })
}

export const separatorName = (delimiter: string): string =>
  ({ ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' })[delimiter] ?? delimiter

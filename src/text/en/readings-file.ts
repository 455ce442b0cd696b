import type { Region } from '@/core/region'
import type { ReadingsCsvError } from '@/core/survey'
import type { TableError } from '@/core/table'
import { measured, number } from '../formats'

/** What is wrong with a file of readings as a whole, and what to do. */
export function readingsFileText(region: Region, error: TableError): string {
  switch (error.code) {
    case 'empty':
      return 'The file is empty. Export the readings from the gauge once more.'
    case 'not-text':
      return 'This is not a table of text. Export the readings as CSV and choose that file.'
    case 'too-long':
      return `The file has ${number(region, error.lines)} lines; the readings of one vehicle come to ${number(region, error.mostLines)} at most. Export this vehicle alone.`
    case 'malformed':
      return `Line ${error.line}, column ${error.column}: ${error.text}. Close every quotation mark.`
  }
}

/** A fault in a table of readings, with where it stands. */
export function readingsFaultText(region: Region, error: ReadingsCsvError): string {
  switch (error.code) {
    case 'empty':
      return 'The table holds no readings. It needs a header line “panel,reading_um” and a line for each reading.'
    case 'no-column':
      return `Line 1: no column for the ${error.wanted}. Name one “${error.wanted === 'panel' ? 'panel' : 'reading_um'}”; found: ${error.found.join(', ')}.`
    case 'unknown-panel':
      return `Line ${error.line}, column ${error.column}: “${error.text}” is no panel of this shape. Known: ${error.known.join(', ')}.`
    case 'not-a-number':
      return `Line ${error.line}, column ${error.column}: “${error.text}” is not a number. Write a reading such as 104 or 104.5 for µm, 4.1 for mil.`
    case 'out-of-range':
      return `Line ${error.line}, column ${error.column}: ${measured(region, 'depth', error.valueUm)} cannot be. Plausible readings lie between 0 and ${measured(region, 'depth', error.maxUm)}.`
    default:
      return readingsFileText(region, error)
  }
}

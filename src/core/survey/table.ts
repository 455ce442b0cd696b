import type { TableError } from '../table'

/** No survey of one vehicle has more lines; a longer file is something else. */
export const MOST_LINES = 20_000

/** One sentence for what is wrong with a file, and what to do. */
export function tableErrorText(error: TableError): string {
  switch (error.code) {
    case 'empty':
      return 'The file is empty. Export the readings from the gauge once more.'
    case 'not-text':
      return 'This is not a table of text. Export the readings as CSV and choose that file.'
    case 'too-long':
      return `The file has ${error.lines.toLocaleString('en-IE')} lines; the readings of one vehicle come to ${error.mostLines.toLocaleString('en-IE')} at most. Export this vehicle alone.`
    case 'malformed':
      return `Line ${error.line}, column ${error.column}: ${error.text}. Close every quotation mark.`
  }
}

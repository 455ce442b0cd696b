import { HISTORY_FORMAT, type HistoryError } from '@/core/history'
import type { Region } from '@/core/region'
import { asked } from './asks'

/** Why the history of a vehicle cannot be read, and what to ask for. */
export function historyErrorText(region: Region, error: HistoryError): string {
  switch (error.code) {
    case 'not-json':
      return 'This file is no JSON. Choose the history file as it was handed over, not the sheet to read.'
    case 'other-format':
      return `This is no history of a vehicle that we can read (its format: ${error.found}). Ask for a file of the format ${HISTORY_FORMAT}.`
    case 'malformed':
      return `The file is damaged at “${error.path}”: ${asked(region, error.what)}. Ask for it to be written again.`
  }
}

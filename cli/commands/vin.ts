import { readVin } from '@/core/vehicle'
import { VIN_REGION_NAME, vinNoteText } from '@/text/en/vin'
import type { Command } from '../command'
import { BadInput, readArguments } from '../input'

const USAGE = 'vin VIN'

/** Reads a vehicle identification number. A text that is none leaves with 2; a doubtful check digit does not. */
export const vin: Command = {
  usage: USAGE,
  run(args) {
    const { positionals } = readArguments(args, {}, { count: 1, usage: USAGE })
    const reading = readVin(positionals[0]!)
    const notes = reading.notes.map((note) => ({ ...note, message: vinNoteText(note) }))
    if (!reading.wellFormed) throw new BadInput(notes.map(({ message }) => message))
    const region = reading.region && VIN_REGION_NAME[reading.region]
    const valid = reading.checkDigit?.valid ?? false
    return { json: { ...reading, ...(region ? { region } : {}), valid, notes }, exitCode: 0 }
  },
}

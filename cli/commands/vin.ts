import { readVin, vinNoteText } from '@/core/vehicle'
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
    return { json: { ...reading, valid: reading.checkDigit?.valid ?? false, notes }, exitCode: 0 }
  },
}

import type { VinNote, VinRegion } from '@/core/vehicle'

export const VIN_REGION_NAME: Record<VinRegion, string> = {
  africa: 'Africa',
  asia: 'Asia',
  europe: 'Europe',
  'north-america': 'North America',
  oceania: 'Oceania',
  'south-america': 'South America',
}

/** One sentence for a note, for the field it stands under. */
export function vinNoteText(note: VinNote): string {
  switch (note.code) {
    case 'empty':
      return 'No number yet. It can stay empty if the car has none.'
    case 'too-short':
      return `${note.typed} of 17 characters, ${note.missing} to go. A shorter chassis number of an old car is kept as it is.`
    case 'too-long':
      return `${note.typed} characters, where a VIN has 17. Check it again; it is saved as typed.`
    case 'letter-not-used':
      return `${note.character} in place ${note.place}: a VIN has no I, O or Q. Is it a ${note.character === 'I' ? '1' : '0'}?`
    case 'character-not-allowed':
      return `“${note.character}” in place ${note.place} is neither a letter A–Z nor a digit.`
    case 'check-digit-differs':
      return note.required
        ? `Place 9 reads ${note.found} but should be ${note.expected}: one character is probably misread.`
        : `Place 9 is not a check digit (${note.expected} would be). Usual outside North America.`
  }
}

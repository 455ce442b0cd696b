import { expect, test } from 'vitest'
import { readVin } from '@/core/vehicle'
import { vinNoteText } from './vin'

const noteOf = (vin: string) => vinNoteText(readVin(vin).notes[0]!)

test('a note says what is unusual, and whether it is usual where the car comes from', () => {
  expect(noteOf('WZZ ZZZ-1KZ 4W 123456')).toContain('Usual outside North America')
  expect(noteOf('1M8GDM9AXKPO42788')).toBe('O in place 12: a VIN has no I, O or Q. Is it a 0?')
  expect(noteOf('1M8GDM9A1KP042788')).toContain('one character is probably misread')
  expect(noteOf('1M8GDM')).toBe(
    '6 of 17 characters, 11 to go. A shorter chassis number of an old car is kept as it is.',
  )
})

import fc from 'fast-check'
import { expect, test } from 'vitest'
import { checkDigitOf, readVin } from './vin'

const PERMITTED = 'ABCDEFGHJKLMNPRSTUVWXYZ0123456789'
const VALUE = Object.fromEntries(
  [...PERMITTED].map((c) => {
    if (/\d/.test(c)) return [c, Number(c)]
    // The transliteration runs A–I, J–R, S–Z as 1–9, 1–9, 2–9 in the full alphabet (49 CFR 565.15).
    const place = c.charCodeAt(0) - 65
    return [c, place < 9 ? place + 1 : place < 18 ? place - 8 : place - 16]
  }),
)
const anyVin = fc
  .array(fc.constantFrom(...PERMITTED), { minLength: 17, maxLength: 17 })
  .map((chars) => chars.join(''))
const withCheck = (vin: string) => vin.slice(0, 8) + checkDigitOf(vin) + vin.slice(9)

test('the published examples pass: 1M8GDM9AXKP042788 and seventeen ones', () => {
  expect(readVin('1M8GDM9AXKP042788')).toMatchObject({
    wellFormed: true,
    checkDigit: { expected: 'X', valid: true },
    notes: [],
    region: 'north-america',
  })
  expect(readVin('1'.repeat(17)).checkDigit).toMatchObject({ valid: true })
})

test('every change of one character is noticed, unless the code gives both the same value', () => {
  fc.assert(
    fc.property(
      anyVin.map(withCheck),
      fc.integer({ min: 0, max: 16 }),
      fc.constantFrom(...PERMITTED),
      (vin, place, character) => {
        const changed = vin.slice(0, place) + character + vin.slice(place + 1)
        const noticed = readVin(changed).checkDigit?.valid === false
        const detectable = place === 8 ? character !== vin[8] : VALUE[character] !== VALUE[vin[place]!]
        expect(noticed).toBe(detectable)
      },
    ),
  )
})

test('a European number without a check digit is kept, and nothing is required of it', () => {
  const reading = readVin('WZZ ZZZ-1KZ 4W 123456')
  expect(reading).toMatchObject({ vin: 'WZZZZZ1KZ4W123456', wellFormed: true, region: 'europe' })
  expect(reading.notes[0]).toMatchObject({ code: 'check-digit-differs', required: false })
})

test('a letter that no VIN has is named with its place and what it may be', () => {
  const reading = readVin('1M8GDM9AXKPO42788')
  expect(reading.wellFormed).toBe(false)
  expect(reading.notes[0]).toEqual({ code: 'letter-not-used', place: 12, character: 'O' })
})

test('the year code gives both cycles, a letter in place 7 the later one first', () => {
  expect(readVin('1M8GDM9AXKP042788').modelYears).toEqual([1989, 2019])
  expect(readVin('1M8GDMBAXKP042788').modelYears).toEqual([2019, 1989])
})

test('an old chassis number is read without a complaint that blocks', () => {
  expect(readVin('IM 4471')).toMatchObject({ vin: 'IM4471', wellFormed: false })
  expect(readVin('').notes).toEqual([{ code: 'empty' }])
})

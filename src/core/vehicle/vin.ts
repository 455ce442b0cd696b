/**
 * Vehicle identification numbers, after ISO 3779 and 49 CFR 565.15. A number is read, never blocked: an old
 * chassis number or one from a market without check digits is kept as typed, with notes.
 */

const LENGTH = 17

/** 49 CFR 565.15, table III: the value of each permitted character. I, O and Q are not permitted. */
const CHARACTER_VALUE: Record<string, number> = {
  ...Object.fromEntries([...'0123456789'].map((digit) => [digit, Number(digit)])),
  ...Object.fromEntries([...'ABCDEFGH'].map((letter, i) => [letter, i + 1])),
  ...Object.fromEntries([...'JKLMN'].map((letter, i) => [letter, i + 1])),
  ...{ P: 7, R: 9 },
  ...Object.fromEntries([...'STUVWXYZ'].map((letter, i) => [letter, i + 2])),
}

/** 49 CFR 565.15, table IV: weight of each of the 17 places; the check digit itself weighs nothing. */
const PLACE_WEIGHT = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2] as const

const CHECK_PLACE = 8
const YEAR_PLACE = 9

/** 49 CFR 565.15, table VII: the code repeats every 30 years, from 1980 and again from 2010. */
const YEAR_CODES = 'ABCDEFGHJKLMNPRSTVWXY123456789'
const FIRST_CODED_YEAR = 1980

export type VinRegion = 'africa' | 'asia' | 'europe' | 'north-america' | 'oceania' | 'south-america'

export type VinNote =
  | { code: 'empty' }
  | { code: 'too-short'; typed: number; missing: number }
  | { code: 'too-long'; typed: number }
  | { code: 'letter-not-used'; place: number; character: string }
  | { code: 'character-not-allowed'; place: number; character: string }
  | { code: 'check-digit-differs'; expected: string; found: string; required: boolean }

export type VinReading = {
  /** As it will be stored: capitals, without spaces or hyphens. */
  vin: string
  /** 17 permitted characters. */
  wellFormed: boolean
  checkDigit?: { expected: string; found: string; valid: boolean; required: boolean }
  /** The years the code in place 10 can mean, the likelier first. */
  modelYears: number[]
  region?: VinRegion
  notes: VinNote[]
}

/** Removes what people type between the groups. */
export function normaliseVin(text: string): string {
  return text.toUpperCase().replace(/[\s-]/g, '')
}

/** The check digit that 17 permitted characters must carry in place 9: 0–9, or X for ten. */
export function checkDigitOf(vin: string): string {
  const sum = PLACE_WEIGHT.reduce<number>(
    (total, weight, place) => total + weight * (CHARACTER_VALUE[vin[place] ?? ''] ?? 0),
    0,
  )
  const remainder = sum % 11
  return remainder === 10 ? 'X' : String(remainder)
}

function regionOf(first: string): VinRegion | undefined {
  if ('ABCDEFGH'.includes(first)) return 'africa'
  if ('JKLMNPR'.includes(first)) return 'asia'
  if ('STUVWXYZ'.includes(first)) return 'europe'
  if ('12345'.includes(first)) return 'north-america'
  if ('67'.includes(first)) return 'oceania'
  if ('89'.includes(first)) return 'south-america'
  return undefined
}

/**
 * A letter in place 7 puts a passenger car in the later cycle (49 CFR 565.15). Other markets do not follow
 * this, so both years are given, the likelier first.
 */
function modelYearsOf(vin: string): number[] {
  const index = YEAR_CODES.indexOf(vin[YEAR_PLACE] ?? '')
  if (index < 0) return []
  const early = FIRST_CODED_YEAR + index
  const laterFirst = /[A-Z]/.test(vin[6] ?? '')
  return laterFirst ? [early + 30, early] : [early, early + 30]
}

function characterNotes(vin: string): VinNote[] {
  return [...vin].flatMap((character, index): VinNote[] => {
    if (character in CHARACTER_VALUE) return []
    const code = 'IOQ'.includes(character) ? 'letter-not-used' : 'character-not-allowed'
    return [{ code, place: index + 1, character }]
  })
}

function lengthNotes(vin: string): VinNote[] {
  if (vin.length === 0) return [{ code: 'empty' }]
  if (vin.length < LENGTH) return [{ code: 'too-short', typed: vin.length, missing: LENGTH - vin.length }]
  if (vin.length > LENGTH) return [{ code: 'too-long', typed: vin.length }]
  return []
}

/** Reads any text as a VIN. Never refuses: what is unusual about it stands in `notes`. */
export function readVin(text: string): VinReading {
  const vin = normaliseVin(text)
  const notes = [...lengthNotes(vin), ...characterNotes(vin)]
  if (notes.length > 0) return { vin, wellFormed: false, modelYears: [], notes }
  const first = vin[0]!
  const region = regionOf(first)
  const expected = checkDigitOf(vin)
  const found = vin[CHECK_PLACE]!
  // North America requires the digit by law, and China (L) by its own standard; elsewhere the place is free.
  const required = '12345L'.includes(first)
  const valid = expected === found
  return {
    vin,
    wellFormed: true,
    checkDigit: { expected, found, valid, required },
    modelYears: modelYearsOf(vin),
    ...(region ? { region } : {}),
    notes: valid ? [] : [{ code: 'check-digit-differs', expected, found, required }],
  }
}

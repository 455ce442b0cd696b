import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Quantity, shown } from '@/core/region'
import { BERLIN, DUBLIN, LYON, OHIO, REGIONS, ZURICH } from './region.fixture'
import {
  fieldText,
  numberOf,
  numberText,
  readNumber,
  readQuantity,
  shownNumber,
  unread,
  unreadText,
} from './typed'

const value = (region: typeof DUBLIN, text: string, options = {}) => {
  const typed = readNumber(region, text, options)
  return typed.kind === 'number' ? typed.value : typed.kind
}

describe('a number as it is typed', () => {
  test.each([
    [DUBLIN, '12', 12],
    [DUBLIN, ' 12.5 ', 12.5],
    [DUBLIN, '12,5', 12.5],
    [BERLIN, '12,5', 12.5],
    [BERLIN, '12.5', 12.5],
    [DUBLIN, '1,234.5', 1234.5],
    [BERLIN, '1.234,5', 1234.5],
    [BERLIN, '1.234.567', 1234567],
    [DUBLIN, '1,234,567', 1234567],
    [LYON, '1 234,5', 1234.5],
    [LYON, '1\u202f234,5', 1234.5],
    [ZURICH, '1’234.5', 1234.5],
    [DUBLIN, '-3', -3],
    [DUBLIN, '−3', -3],
    [DUBLIN, '.5', 0.5],
    [DUBLIN, '0.125', 0.125],
  ])('$1.locale', (region, text, number) => expect(value(region, text)).toBe(number))

  test.each(['twelve', '1,2,3', '12 µm', '-', '.', '1.2.3', '1,23,456', '1e3', '0x10'])(
    '“%s” is none',
    (text) => expect(value(DUBLIN, text)).toBe('unreadable'),
  )
  test('an empty field is no number, and no nought', () => expect(value(DUBLIN, '  ')).toBe('empty'))

  test('three digits after the only sign are asked about, in whatever locale', () => {
    for (const region of Object.values(REGIONS))
      for (const text of ['1.234', '1,234', '-12,345'])
        expect(readNumber(region, text).kind).toBe('ambiguous')
    expect(readNumber(BERLIN, '1.234')).toEqual({ kind: 'ambiguous', large: 1234, small: 1.234 })
  })
  test('in a field of whole numbers they are thousands', () => {
    expect(value(DUBLIN, '141,300', { whole: true })).toBe(141_300)
    expect(value(BERLIN, '141.300', { whole: true })).toBe(141_300)
  })
})

const QUANTITIES: Quantity[] = ['depth', 'volume', 'water', 'temperature', 'distance', 'area', 'length']

test('what a field shows it reads back, in six places and both systems of units', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...Object.values(REGIONS)),
      fc.constantFrom(...QUANTITIES),
      fc.integer({ min: -9_999_999, max: 9_999_999 }).map((thousandths) => thousandths / 1000),
      (region, quantity, metric) => {
        const field = fieldText(region, shown(region.units, quantity, metric), 6)
        const back = readQuantity(region, quantity, field)
        expect(back.kind).toBe('number')
        expect(back.kind === 'number' && Math.abs(back.value - metric)).toBeLessThan(1e-3)
      },
    ),
  )
})

test('4.3 typed in mil is 109 µm', () => {
  const typed = readQuantity(OHIO, 'depth', '4.3')
  expect(typed.kind === 'number' && typed.value).toBeCloseTo(109.22, 2)
})

test('what could not be read is no number to anybody, and keeps its text', () => {
  for (const text of ['1.234', '12', '', 'twelve']) {
    expect(numberOf(unread(text))).toBeNaN()
    expect(unreadText(unread(text))).toBe(text)
  }
  expect(numberOf('12.5')).toBe(12.5)
  expect(numberOf(' ')).toBeNaN()
  expect(unreadText('12.5')).toBeUndefined()
})

test('money keeps its decimals in a field', () => {
  expect(fieldText(DUBLIN, 24.5, 2, 2)).toBe('24.50')
  expect(fieldText(BERLIN, 24.5, 2, 2)).toBe('24,50')
})

describe('what a form is given of a number', () => {
  test('is digits with a point, as it is stored', () => {
    expect(numberText(BERLIN, '12,5', {})).toBe('12.5')
    expect(numberText(OHIO, '4.3', { quantity: 'depth' })).toBe('109.22')
    expect(numberText(OHIO, '10,000', { quantity: 'distance', whole: true })).toBe('16093')
    expect(numberText(DUBLIN, ' ', {})).toBe('')
  })
  test('a part is no whole number, and nothing is rounded behind anybody’s back', () => {
    expect(numberOf(numberText(DUBLIN, '12.5', { whole: true }))).toBeNaN()
    expect(shownNumber(DUBLIN, numberText(DUBLIN, '12.5', { whole: true }), { whole: true })).toBe('12.5')
  })
  test('stands in the field again as it was typed', () => {
    expect(shownNumber(OHIO, '16093', { quantity: 'distance', whole: true })).toBe('10000')
    expect(shownNumber(BERLIN, '24.50', {})).toBe('24,50')
    expect(shownNumber(DUBLIN, unread('1.234'), {})).toBe('1.234')
  })
})

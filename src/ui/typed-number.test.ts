import fc from 'fast-check'
import { expect, test } from 'vitest'
import { typedNumber } from './typed-number'

test.each([
  ['12', 12],
  [' 12,5 ', 12.5],
  ['12.5', 12.5],
  ['-3', -3],
  ['0', 0],
])('%s is %d', (text, value) => expect(typedNumber(text)).toBe(value))

test.each(['', '   ', 'twelve', '1,2,3', '12 µm'])('“%s” is no number', (text) => {
  expect(typedNumber(text)).toBeNaN()
})

test('any number comes back, typed with a point or with a comma', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e6, max: 1e6 }), (value) => {
      const text = String(value)
      expect(typedNumber(text)).toBe(Number(text))
      expect(typedNumber(text.replace('.', ','))).toBe(Number(text))
    }),
  )
})

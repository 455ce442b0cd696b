import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { filmUm, milToUm, umToMil } from './film'
import {
  celsiusToFahrenheit,
  fahrenheitToCelsius,
  fluidOuncesToMl,
  litresToUsGallons,
  mlToFluidOunces,
  usGallonsToLitres,
} from './quantity'

describe('published factors', () => {
  test('1 mil is 25.4 µm (NIST SP 811)', () => expect(milToUm(1)).toBe(25.4))
  test('1 US gallon is 3.785411784 l (NIST Handbook 44)', () =>
    expect(usGallonsToLitres(1)).toBe(3.785411784))
  test('1 US fluid ounce is 29.5735295625 ml (NIST Handbook 44)', () =>
    expect(fluidOuncesToMl(1)).toBe(29.5735295625))
  test('a gallon holds 128 fluid ounces', () =>
    expect(fluidOuncesToMl(128)).toBeCloseTo(usGallonsToLitres(1) * 1000, 9))
  test('water freezes at 32 °F and boils at 212 °F', () => {
    expect(celsiusToFahrenheit(0)).toBe(32)
    expect(celsiusToFahrenheit(100)).toBe(212)
  })
})

test('every conversion comes back to where it started', () => {
  const pairs: [(n: number) => number, (n: number) => number][] = [
    [milToUm, umToMil],
    [usGallonsToLitres, litresToUsGallons],
    [fluidOuncesToMl, mlToFluidOunces],
    [celsiusToFahrenheit, fahrenheitToCelsius],
  ]
  fc.assert(
    fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (value) => {
      for (const [there, back] of pairs) expect(back(there(value))).toBeCloseTo(value, 7)
    }),
  )
})

test('a reading that no gauge can show is refused with the plausible range', () => {
  for (const value of [-5, 99_999, Number.NaN, Number.POSITIVE_INFINITY]) {
    expect(filmUm(value)).toMatchObject({
      ok: false,
      error: { code: 'film-out-of-range', minUm: 0, maxUm: 5000 },
    })
  }
  expect(filmUm(0).ok).toBe(true)
  expect(filmUm(5000).ok).toBe(true)
})

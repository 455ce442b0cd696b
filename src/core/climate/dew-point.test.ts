import fc from 'fast-check'
import psychrolib from 'psychrolib'
import { expect, test } from 'vitest'
import { dewPointC, dewVerdict } from './dew-point'

const dew = (tempC: number, rh: number) => {
  const result = dewPointC(tempC, rh)
  if (!result.ok) throw new Error(result.error.code)
  return result.value
}

test('agrees with psychrolib (ASHRAE) within 0.1 K from −10 to 45 °C, 10 to 100 %', () => {
  psychrolib.SetUnitSystem(psychrolib.SI)
  for (let tempC = -10; tempC <= 45; tempC += 2.5)
    for (let rh = 10; rh <= 100; rh += 5) {
      // ASHRAE changes to saturation over ice below 0 °C; the Magnus form here stays over water.
      const reference = psychrolib.GetTDewPointFromRelHum(tempC, rh / 100)
      if (reference < 0) continue
      expect(Math.abs(dew(tempC, rh) - reference)).toBeLessThan(0.1)
    }
})

test('agrees with the published Magnus form of Alduchov and Eskridge (1996), solved by bisection', () => {
  const vapourHpa = (t: number) => 6.1094 * Math.exp((17.625 * t) / (243.04 + t))
  for (const [tempC, rh] of [
    [-10, 30],
    [5, 90],
    [25, 60],
    [45, 10],
  ] as const) {
    let low = -80
    let high: number = tempC
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2
      if (vapourHpa(middle) < (vapourHpa(tempC) * rh) / 100) low = middle
      else high = middle
    }
    expect(dew(tempC, rh)).toBeCloseTo(low, 6)
  }
})

test('saturated air is at its dew point, and drier air has a lower one', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -10, max: 45, noNaN: true }),
      fc.double({ min: 5, max: 99, noNaN: true }),
      (tempC, rh) => {
        expect(dew(tempC, 100)).toBeCloseTo(tempC, 9)
        expect(dew(tempC, rh)).toBeLessThan(tempC)
        expect(dew(tempC, rh)).toBeLessThan(dew(tempC, rh + 1))
      },
    ),
  )
})

test('a panel is go at 3 K above the dew point and not a hair below (ISO 8502-4)', () => {
  const point = dew(25, 60)
  const at = (panelC: number) => dewVerdict({ airC: 25, rhPercent: 60, panelC })
  expect(at(point + 3.0001)).toMatchObject({ ok: true, value: { go: true } })
  expect(at(point + 2.9999)).toMatchObject({ ok: true, value: { go: false } })
})

test('air that cannot exist is refused by name', () => {
  expect(dewPointC(20, 0)).toMatchObject({ ok: false, error: { code: 'humidity-out-of-range' } })
  expect(dewPointC(20, 101)).toMatchObject({ ok: false, error: { code: 'humidity-out-of-range' } })
  expect(dewPointC(Number.NaN, 50)).toMatchObject({ ok: false, error: { code: 'temperature-out-of-range' } })
})

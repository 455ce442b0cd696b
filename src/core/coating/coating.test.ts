import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import catalogue from '../../../demo/catalogue.json'
import { instantOrThrow, plusMinutes } from '../time'
import { conditionBreaches } from './conditions'
import { flashBand, flashFactor } from './flash'
import { catalogueSchema } from './product'
import { windowAfter, windowState } from './window'

const products = catalogueSchema.parse(catalogue)
const base = products.find(({ id }) => id === 'cladonia-base')!

describe('the window for the next layer', () => {
  const ended = instantOrThrow('2027-03-27T20:00:00Z')
  const window = windowAfter(ended, base.nextLayerMinutes)
  test('opens 3 h and closes 12 h after the real end, also over the night of the change of clocks', () => {
    expect(window).toEqual({ opens: '2027-03-27T23:00:00.000Z', closes: '2027-03-28T08:00:00.000Z' })
  })
  test('is not yet open a minute before, open at both ends, missed a minute after', () => {
    expect(windowState(window, plusMinutes(window.opens, -1))).toEqual({ kind: 'not-yet', opensInMinutes: 1 })
    expect(windowState(window, window.opens)).toEqual({ kind: 'open', closesInMinutes: 540 })
    expect(windowState(window, window.closes)).toEqual({ kind: 'open', closesInMinutes: 0 })
    expect(windowState(window, plusMinutes(window.closes, 1))).toEqual({ kind: 'missed', sinceMinutes: 1 })
  })
})

describe('flash', () => {
  test('is what the sheet says at 20 °C and 50 %', () => {
    expect(flashFactor(20, 50)).toBe(1)
    expect(flashBand(base, 20, 50)).toEqual({ min: 90, max: 180 })
  })
  test('is shorter when warmer or more humid, and stays within its clamp', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 45, noNaN: true }),
        fc.double({ min: 5, max: 95, noNaN: true }),
        (t, rh) => {
          expect(flashFactor(t + 1, rh)).toBeLessThanOrEqual(flashFactor(t, rh))
          expect(flashFactor(t, rh + 1)).toBeLessThanOrEqual(flashFactor(t, rh))
          expect(flashFactor(t, rh)).toBeGreaterThanOrEqual(0.4)
          expect(flashFactor(t, rh)).toBeLessThanOrEqual(2.5)
        },
      ),
    )
  })
})

describe('conditions', () => {
  test('a heated dry loft is a go', () => {
    expect(conditionBreaches(base, { airC: 20, rhPercent: 50, panelC: 19 })).toEqual([])
  })
  test('every reason is given, not only the first', () => {
    const rules = conditionBreaches(base, { airC: 6, rhPercent: 92, panelC: 5 }).map(({ rule }) => rule)
    expect(rules).toEqual(['air-too-cold', 'air-too-humid', 'panel-near-dew-point'])
  })
  test('too warm and too dry are reasons as well, and what cannot be measured is one alone', () => {
    const rules = (climate: Parameters<typeof conditionBreaches>[1]) =>
      conditionBreaches(base, climate).map(({ rule }) => rule)
    expect(rules({ airC: 34, rhPercent: 20, panelC: 33 })).toEqual(['air-too-warm', 'air-too-dry'])
    expect(rules({ airC: 20, rhPercent: 0, panelC: 20 })).toEqual(['climate-not-measured'])
  })
})

test('the shipped products hold together', () => {
  for (const product of products) {
    expect(product.nextLayerMinutes.max).toBeGreaterThan(product.nextLayerMinutes.min)
    expect(product.flashSeconds.max).toBeGreaterThan(product.flashSeconds.min)
  }
})

import fc from 'fast-check'
import * as reference from 'simple-statistics'
import { expect, test } from 'vitest'
import { mean, median, medianAbsoluteDeviation, standardDeviation } from './statistics'

const values = fc.array(fc.double({ min: 0, max: 5000, noNaN: true }), { minLength: 2, maxLength: 60 })

test('mean, median, deviation and MAD agree with simple-statistics', () => {
  fc.assert(
    fc.property(values, (list) => {
      expect(mean(list)).toBeCloseTo(reference.mean(list), 8)
      expect(median(list)).toBeCloseTo(reference.median(list), 8)
      expect(standardDeviation(list)).toBeCloseTo(reference.sampleStandardDeviation(list), 6)
      expect(medianAbsoluteDeviation(list)).toBeCloseTo(reference.medianAbsoluteDeviation(list), 8)
    }),
  )
})

const alternating = (first: number, low: number, high: number) => [
  first,
  ...Array.from({ length: 1000 }, (_, index) => (index % 2 ? high : low)),
]

test('the certified values of the NIST StRD sets NumAcc1 to NumAcc4', () => {
  const sets = [
    { data: [10000001, 10000003, 10000002], mean: 10000002, deviation: 1 },
    { data: alternating(1.2, 1.1, 1.3), mean: 1.2, deviation: 0.1 },
    { data: alternating(1000000.2, 1000000.1, 1000000.3), mean: 1000000.2, deviation: 0.1 },
    { data: alternating(10000000.2, 10000000.1, 10000000.3), mean: 10000000.2, deviation: 0.1 },
  ]
  for (const set of sets) {
    expect(Math.abs(mean(set.data) / set.mean - 1)).toBeLessThan(1e-12)
    expect(Math.abs(standardDeviation(set.data) / set.deviation - 1)).toBeLessThan(1e-7)
  }
})

test('nothing is said of no values', () => {
  expect(() => mean([])).toThrow()
})

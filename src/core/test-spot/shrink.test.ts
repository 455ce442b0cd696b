import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Estimate, factorOf, shrink } from './shrink'

const estimate = fc.record({
  log: fc.double({ min: -1.2, max: 1.2, noNaN: true }),
  variance: fc.double({ min: 0.005, max: 0.5, noNaN: true }),
})
const witnesses = fc.array(estimate, { maxLength: 12 })

describe('shrinkage', () => {
  test('without witnesses the prior stands as it is', () => {
    const prior: Estimate = { log: 0.3, variance: 0.09 }
    expect(shrink(prior, [])).toEqual({ log: expect.closeTo(0.3, 12), variance: expect.closeTo(0.09, 12) })
  })
  test('the mean of two equally sure sides lies half-way, and is twice as sure', () => {
    const { log, variance } = shrink({ log: 0, variance: 0.04 }, [{ log: 0.4, variance: 0.04 }])
    expect(log).toBeCloseTo(0.2, 12)
    expect(variance).toBeCloseTo(0.02, 12)
  })
  test('it never leaves the range of what it is told', () => {
    fc.assert(
      fc.property(estimate, witnesses, (prior, told) => {
        const { log } = shrink(prior, told)
        const logs = [prior, ...told].map((each) => each.log)
        expect(log).toBeGreaterThanOrEqual(Math.min(...logs) - 1e-12)
        expect(log).toBeLessThanOrEqual(Math.max(...logs) + 1e-12)
      }),
    )
  })
  test('every witness makes it surer, and the order of hearing them does not matter', () => {
    fc.assert(
      fc.property(estimate, fc.array(estimate, { minLength: 1, maxLength: 12 }), (prior, told) => {
        const all = shrink(prior, told)
        expect(all.variance).toBeLessThan(shrink(prior, told.slice(1)).variance)
        const turned = shrink(prior, told.toReversed())
        expect(turned.log).toBeCloseTo(all.log, 9)
        expect(turned.variance).toBeCloseTo(all.variance, 9)
      }),
    )
  })
  test('hearing them one by one comes to the same as hearing them together', () => {
    fc.assert(
      fc.property(estimate, witnesses, (prior, told) => {
        const together = shrink(prior, told)
        const oneByOne = told.reduce((sofar, witness) => shrink(sofar, [witness]), prior)
        expect(oneByOne.log).toBeCloseTo(together.log, 9)
        expect(oneByOne.variance).toBeCloseTo(together.variance, 9)
      }),
    )
  })
  test('many cars outweigh the prior, one moves it a little', () => {
    const prior: Estimate = { log: 0, variance: 0.04 }
    const odd: Estimate = { log: 0.8, variance: 0.12 }
    expect(shrink(prior, [odd]).log).toBeLessThan(0.3)
    expect(shrink(prior, Array(20).fill(odd)).log).toBeGreaterThan(0.65)
  })
})

test('the band of a factor holds it, and is as wide as one standard deviation each way', () => {
  const { factor, low, high } = factorOf({ log: Math.log(1.3), variance: 0.04 })
  expect(factor).toBeCloseTo(1.3, 12)
  expect(low).toBeCloseTo(1.3 * Math.exp(-0.2), 12)
  expect(high).toBeCloseTo(1.3 * Math.exp(0.2), 12)
})

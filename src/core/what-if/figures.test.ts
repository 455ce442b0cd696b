import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { BUSIER, busier, moneyOf } from './demand'
import { figuresOf } from './figures'
import { compared, leaning, spreadOver } from './spread'
import { agreedFor, carAsked, setup } from './what-if.fixture'

describe('the figures of a run', () => {
  test('of three cars, one of them late, one unpaid', () => {
    const cars = [
      { untilDone: 1440, late: -60, inBays: 600, earnedCents: 30_000 },
      { untilDone: 4320, late: 120, inBays: 1200, earnedCents: 15_000 },
      { untilDone: 2880, inBays: 6000 },
    ]
    expect(figuresOf(cars, 2)).toEqual({
      kept: 0.5,
      days: 2,
      carsPerWeek: 1.5,
      centsPerBayHour: 1500,
      lateHours: 1,
    })
  })
  test('of no car are none, and no promise is broken', () => {
    expect(figuresOf([], 1)).toEqual({ kept: 1, days: 0, carsPerWeek: 0, centsPerBayHour: 0, lateHours: 0 })
  })
})

const values = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 60 })

describe('a spread over runs', () => {
  test('holds its mean’s figures in order, at most a tenth of the runs beyond either end', () => {
    fc.assert(
      fc.property(values, (all) => {
        const { low, mean, high } = spreadOver(all)
        expect(low).toBeLessThanOrEqual(high)
        expect(mean).toBeGreaterThanOrEqual(Math.min(...all) - 1e-6)
        expect(mean).toBeLessThanOrEqual(Math.max(...all) + 1e-6)
        expect(all.filter((value) => value < low).length).toBeLessThanOrEqual(all.length / 10)
        expect(all.filter((value) => value > high).length).toBeLessThanOrEqual(all.length / 10)
      }),
    )
    expect(() => spreadOver([])).toThrow()
  })
  test('nothing differs from itself, and what is more in every run leans up', () => {
    fc.assert(
      fc.property(values, fc.double({ min: 1, max: 100, noNaN: true }), (all, more) => {
        expect(leaning(compared(all, all))).toBe('same')
        expect(
          leaning(
            compared(
              all,
              all.map((value) => value + more),
            ),
          ),
        ).toBe('up')
        expect(
          leaning(
            compared(
              all,
              all.map((value) => value - more),
            ),
          ),
        ).toBe('down')
      }),
    )
  })
})

describe('demand', () => {
  const cars = Array.from({ length: 20 }, (_, at) =>
    carAsked(`car-${at}`, at % 2 === 0 ? 'tideline' : 'headland', at * 5),
  )
  test('busier is that many more cars of the same kinds, on days on which some came, in the order in which they ask', () => {
    for (const times of BUSIER) {
      const more = busier(cars, times, 7)
      expect(more).toHaveLength(20 * times)
      expect(new Set(more.map(({ id }) => id)).size).toBe(more.length)
      expect(more.map(({ asked }) => asked)).toEqual(more.map(({ asked }) => asked).toSorted())
      for (const car of more) {
        expect(cars.some(({ asked }) => asked === car.asked)).toBe(true)
        expect(cars.some(({ plan, packageKey }) => plan === car.plan && packageKey === car.packageKey)).toBe(
          true,
        )
      }
      expect(busier(cars, times, 7)).toEqual(more)
    }
    expect(
      busier(cars, 1, 7)
        .map(({ id }) => id)
        .toSorted(),
    ).toEqual(cars.map(({ id }) => id).toSorted())
    expect(busier([], 3, 7)).toEqual([])
  })
  test('what a car leaves is its price before tax less what was bought, and its wages are those of its hours', () => {
    const agreed = agreedFor('headland')
    const { leftCents, wageCents } = moneyOf(agreed, setup.costs)
    const lines = agreed.summary.priceLines
    const of = (kind: string) =>
      lines.filter((line) => line.kind === kind).reduce((sum, { cents }) => sum + cents, 0)
    expect(of('product')).toBeGreaterThan(0)
    expect(leftCents).toBeCloseTo(
      agreed.summary.netCents -
        of('consumables') -
        of('vendor') -
        (of('product') * setup.costs.productPercent) / 100,
      3,
    )
    const { prep, correct, coat } = setup.costs.wageCentsPerHour
    const hours = agreed.plan.operations
      .filter(({ skill }) => skill)
      .reduce((sum, { minutes, people }) => sum + (minutes * people) / 60, 0)
    expect(wageCents).toBeGreaterThan(hours * prep)
    expect(wageCents).toBeLessThan(hours * Math.max(correct, coat))
  })
})

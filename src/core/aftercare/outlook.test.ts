import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { seededRandom } from '../schedule/solver/random'
import { type Look, WATERS } from './look'
import { outlookOf, type Unit } from './outlook'
import { BAND_CHANCE } from './outlook-grid'
import { levelAt, likelihood, waterChances } from './protection'

const PANELS = ['bonnet', 'roof', 'boot', 'door-left', 'door-right', 'wing-left', 'wing-right', 'bumper']

const look = (unit: string, water: Look['water'], more: Partial<Look> = {}): Look => ({
  unit,
  water,
  cleaned: true,
  ...more,
})
const car = (waterOf: (panel: string) => Look['water'] | undefined, more: Partial<Look> = {}): Unit[] =>
  PANELS.map((id) => {
    const water = waterOf(id)
    return {
      id,
      lifeMonths: 18,
      ageMonths: 14,
      looks: water ? [{ ...look(id, water, more), ageMonths: 14 }] : [],
    }
  })
const unit = (outlook: ReturnType<typeof outlookOf>, id: string) =>
  outlook.units.find((each) => each.id === id)!

describe('the level of a coating', () => {
  test('is whole when it is applied, half at the end of its life, and only falls', () => {
    expect(levelAt(0, 18)).toBe(1)
    expect(levelAt(18, 18)).toBeCloseTo(0.5, 12)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        fc.double({ min: 3, max: 60, noNaN: true }),
        (age, more, life) => levelAt(age + more, life) < levelAt(age, life) || levelAt(age, life) < 1e-12,
      ),
    )
  })
  test('gives every word a chance, and all of them together one', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (level) => {
        const chances = Object.values(waterChances(level))
        expect(chances.every((chance) => chance > 0)).toBe(true)
        expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9)
      }),
    )
  })
})

describe('what a look says', () => {
  test('water that stays speaks for a coating that has gone, tight beads for one that holds', () => {
    expect(likelihood(0.1, look('bonnet', 'wets'))).toBeGreaterThan(
      20 * likelihood(0.9, look('bonnet', 'wets')),
    )
    expect(likelihood(0.9, look('bonnet', 'tight'))).toBeGreaterThan(
      20 * likelihood(0.3, look('bonnet', 'tight')),
    )
  })
  test('dirt excuses bad water: without decontamination it says less', () => {
    const ratio = (cleaned: boolean) =>
      likelihood(0.1, look('bonnet', 'wets', { cleaned })) /
      likelihood(0.85, look('bonnet', 'wets', { cleaned }))
    expect(ratio(false)).toBeLessThan(ratio(true) / 2)
  })
  test('a fresh topper answers for the coating under it, and less so as it wears', () => {
    const ratio = (topperMonths?: number) => {
      const seen = look('bonnet', 'tight', topperMonths === undefined ? {} : { topperMonths })
      return likelihood(0.95, seen) / likelihood(0.2, seen)
    }
    expect(ratio(0)).toBeLessThan(2)
    expect(ratio(3)).toBeLessThan(ratio(12))
    expect(ratio(12)).toBeCloseTo(ratio(), 0)
  })
})

describe('the outlook', () => {
  test('without a look is what the product and the car’s life say, half on either side', () => {
    const fresh = outlookOf(car(() => undefined))
    // A data sheet says a little more than cars come to.
    expect(fresh.lifeMonths.mid).toBeGreaterThan(15.5)
    expect(fresh.lifeMonths.mid).toBeLessThan(17)
    expect(fresh.lifeMonths.low).toBeLessThan(15)
    expect(fresh.lifeMonths.high).toBeGreaterThan(22)
  })
  test('moves up with good water and down with bad, and narrows either way', () => {
    const width = ({ lifeMonths }: ReturnType<typeof outlookOf>) => Math.log(lifeMonths.high / lifeMonths.low)
    const [before, good, bad] = [undefined, 'tight', 'sheets'].map((water) =>
      outlookOf(car(() => water as Look['water'] | undefined)),
    )
    expect(good!.lifeMonths.mid).toBeGreaterThan(before!.lifeMonths.mid)
    expect(bad!.lifeMonths.mid).toBeLessThan(before!.lifeMonths.mid)
    expect(width(good!)).toBeLessThan(width(before!))
    expect(width(bad!)).toBeLessThan(width(before!))
  })
  test('one panel that fails alone is named and does not drag the others down', () => {
    const before = outlookOf(car(() => undefined))
    const after = outlookOf(car((panel) => (panel === 'bonnet' ? 'wets' : 'tight')))
    expect(unit(after, 'bonnet').failsAlone).toBe(true)
    expect(unit(after, 'bonnet').holds).toBeLessThan(0.2)
    for (const id of PANELS.slice(1)) {
      expect(unit(after, id).failsAlone).toBe(false)
      expect(unit(after, id).lifeMonths.mid).toBeGreaterThan(unit(before, id).lifeMonths.mid)
    }
  })
  test('before anybody has looked, no panel is said to fail alone, however old the coating', () => {
    for (const ageMonths of [6, 14, 17, 18, 19, 24]) {
      const units = car(() => undefined).map((each, at) => ({
        ...each,
        ageMonths,
        lifeMonths: at < 3 ? 16.5 : 18,
      }))
      expect(outlookOf(units).units.filter(({ failsAlone }) => failsAlone)).toEqual([])
    }
  })
  test('where all fail, none fails alone', () => {
    const after = outlookOf(car(() => 'wets'))
    expect(after.units.every(({ failsAlone }) => !failsAlone)).toBe(true)
    expect(after.units.every(({ holds }) => holds < 0.3)).toBe(true)
  })
  test('counts a panel that was coated again from its own day', () => {
    const units = car((panel) => (panel === 'bonnet' ? undefined : 'tight'))
    const recoated = units.map((each) => (each.id === 'bonnet' ? { ...each, ageMonths: 1 } : each))
    expect(unit(outlookOf(recoated), 'bonnet').levelNow.mid).toBeGreaterThan(0.95)
  })
  test('the curve falls from one, its band holds its middle', () => {
    const { curve } = outlookOf(car((panel) => (panel === 'roof' ? 'loose' : 'tight')))
    expect(curve[0]).toMatchObject({ month: 0, low: 1, mid: 1, high: 1 })
    for (const [at, { low, mid, high }] of curve.entries()) {
      expect(low).toBeLessThanOrEqual(mid)
      expect(mid).toBeLessThanOrEqual(high)
      if (at > 0) expect(mid).toBeLessThan(curve[at - 1]!.mid + 1e-12)
    }
  })
  test('is given the same by the same, in any order of panels', () => {
    const units = car((panel) => (panel === 'bonnet' ? 'loose' : 'tight'))
    const turned = outlookOf(units.toReversed())
    for (const { id, lifeMonths } of outlookOf(units).units)
      expect(unit(turned, id).lifeMonths.mid).toBeCloseTo(lifeMonths.mid, 9)
  })
  test('needs something that is coated', () => expect(() => outlookOf([])).toThrow())
})

describe('over simulated fleets with a known truth', () => {
  const random = seededRandom(20_270_114)
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const pick = (chances: Record<string, number>) => {
    let left = random()
    for (const water of WATERS) {
      left -= chances[water]!
      if (left <= 0) return water
    }
    return 'wets' as const
  }
  /** Cars as the model says cars are, drawn by other means than its grid. */
  function fleet(cars: number, looksAt: readonly number[]) {
    return Array.from({ length: cars }, () => {
      const common = 0.28 * normal()
      // Whoever looks that day sees everything a little better or worse than it is.
      const eyes = looksAt.map(() => 0.03 * normal())
      return PANELS.map((id) => {
        const own = random() < 0.05 ? -0.7 + 0.6 * normal() : 0.1 * normal()
        const worn = 18 * Math.exp(common + own)
        // Some lose it all at once: a chance of 0.3 % a month until the last look.
        const lostAt = Math.log(1 - random()) / Math.log(1 - 0.003)
        const isLost = lostAt < (looksAt.at(-1) ?? 0)
        const truth = isLost ? Math.min(worn, lostAt) : worn
        const looks = looksAt.map((ageMonths, visit) => {
          const left = isLost && ageMonths >= lostAt ? 0.05 : levelAt(ageMonths, worn)
          const level = Math.min(1, Math.max(0, left + eyes[visit]!))
          return {
            ...look(id, pick(waterChances(level))),
            ageMonths,
            angleDegrees: 60 + 50 * level + 7 * normal(),
          }
        })
        return { truth, unit: { id, lifeMonths: 18, ageMonths: looksAt.at(-1) ?? 0, looks } satisfies Unit }
      })
    })
  }
  test.each([
    { visits: [] as number[], cars: 120 },
    { visits: [7], cars: 120 },
    { visits: [6, 13], cars: 120 },
  ])('with visits at $visits months the band holds the truth as often as it says', ({ visits, cars }) => {
    let [inside, all] = [0, 0]
    for (const panels of fleet(cars, visits)) {
      const { units } = outlookOf(panels.map((panel) => panel.unit))
      for (const [at, { truth }] of panels.entries()) {
        const { low, high } = units[at]!.lifeMonths
        inside += Number(low <= truth && truth <= high)
        all += 1
      }
    }
    // Panels of a car share its luck, so 960 panels weigh like some 200: three standard errors of that.
    expect(Math.abs(inside / all - BAND_CHANCE)).toBeLessThan(0.085)
  })
})

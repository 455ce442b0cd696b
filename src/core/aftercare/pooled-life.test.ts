import { describe, expect, test } from 'vitest'
import { tell, tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { type Look, WATERS } from './look'
import { type CoatedCar, pooledLife, proposedLife } from './pooled-life'
import { levelAt, waterChances } from './protection'

const PANELS = 12
const SHEET_MONTHS = 24

const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** A fleet whose coating lasts `share` of what its sheet says, looked at by word at each of these ages. */
function fleet(share: number, cars: number, ages: readonly number[], seed: number): CoatedCar[] {
  const random = seededRandom(seed)
  return Array.from({ length: cars }, () => {
    const ofCar = Math.exp(0.26 * normal(random))
    return {
      units: Array.from({ length: PANELS }, () => {
        const life = SHEET_MONTHS * share * ofCar * Math.exp(0.15 * normal(random))
        return {
          lifeMonths: SHEET_MONTHS,
          looks: ages.map((ageMonths): Look & { ageMonths: number } => {
            const chances = waterChances(levelAt(ageMonths, life, 2))
            let left = random()
            const water = WATERS.find((word) => {
              left -= chances[word]
              return left < 0
            })
            return { unit: 'bonnet', water: water ?? 'wets', cleaned: true, ageMonths }
          }),
        }
      }),
    }
  })
}

describe('how long a coating really holds', () => {
  test('nobody has looked: nothing is known', () => {
    expect(pooledLife([])).toBeUndefined()
    expect(pooledLife([{ units: [{ lifeMonths: 12, looks: [] }] }])).toBeUndefined()
  })
  test('more cars narrow the band, and what holds longer comes out longer', () => {
    const width = (cars: number) => {
      const { low, high } = pooledLife(fleet(0.8, cars, [9, 18], 5))!.share
      return high / low
    }
    expect(width(30)).toBeLessThan(width(3))
    const mid = (share: number) => pooledLife(fleet(share, 20, [9, 18, 24], 8))!.share.mid
    expect(mid(0.7)).toBeLessThan(mid(1))
    expect(mid(1)).toBeLessThan(mid(1.3))
  })
  test('the band holds the truth about eight times in ten, and more often', () => {
    const runs = tries(15, 150)
    for (const share of [0.7, 1, 1.25]) {
      const held = Array.from({ length: runs }, (_, run) => {
        const { low, high } = pooledLife(fleet(share, 12, [8, 16, 24], 1000 * share + run))!.share
        return low <= share && share <= high
      }).filter(Boolean).length
      tell(`pooled life, true life × ${share} of the sheet, in the 80 % band`, held / runs)
      expect(held / runs).toBeGreaterThan(0.65)
    }
  })
  test('a life is proposed where the cars leave no doubt, and no sooner than after five of them', () => {
    const short = pooledLife(fleet(0.6, 20, [8, 14, 20], 3))!
    const proposed = proposedLife(SHEET_MONTHS, short)!
    expect(proposed).toBeGreaterThan(SHEET_MONTHS * 0.5)
    expect(proposed).toBeLessThan(SHEET_MONTHS * 0.75)
    expect(proposedLife(SHEET_MONTHS, { ...short, cars: 4 })).toBeUndefined()
    const long = { ...short, share: { low: 1.2, mid: 1.5, high: 1.8 } }
    expect(proposedLife(SHEET_MONTHS, { ...long, oldestMonths: 40 })).toBe(36)
    // A longer one than any car has come to is not put on a sheet.
    expect(proposedLife(SHEET_MONTHS, { ...long, oldestMonths: 30 })).toBeUndefined()
    expect(
      proposedLife(SHEET_MONTHS, { ...short, share: { low: 0.9, mid: 0.95, high: 1.1 } }),
    ).toBeUndefined()
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { tell, tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { normalDeviate } from '../statistics.fixture'
import { removalsOfVisit } from './ledger'
import { meanFilm, questionOf, removalAtSpot, removalAtSpots, removalBetween, spreadOf } from './metrology'

/** Film of a car of which the truth is known: spots differ by 3 µm, a gauge repeats to 1 µm and is off by something all day. */
function twoRounds(random: () => number, panels: number, spots: number, takenUm: number) {
  const normal = () => normalDeviate(random)
  const offset = [0.3 * normal(), 0.3 * normal()]
  const round = (base: number[], at: 0 | 1, less: number) =>
    base.flatMap((um) => [0, 1, 2].map(() => um - less + offset[at]! + normal()))
  return Array.from({ length: panels }, () => {
    const level = 115 + 4 * normal()
    const place = () => Array.from({ length: spots }, () => level + 3 * normal())
    const first = place()
    return { before: round(first, 0, 0), same: round(first, 1, takenUm), other: round(place(), 1, takenUm) }
  })
}
type Panel = ReturnType<typeof twoRounds>[number]
const listed = (panels: Panel[], which: 'before' | 'same' | 'other') =>
  Object.fromEntries(panels.map((panel, at) => [`p${at}`, panel[which]]))

/** Share of removals within twice their uncertainty of the truth, and the mean uncertainty, µm. */
function coverage(which: 'same' | 'other', spots = 2) {
  const random = seededRandom(which === 'same' ? 5 : 6)
  let [held, all, u] = [0, 0, 0]
  for (let car = 0; car < tries(60, 800); car++) {
    const takenUm = 1 + 3 * random()
    const panels = twoRounds(random, 12, spots, takenUm)
    const spread = spreadOf([listed(panels, 'before'), listed(panels, which)])
    for (const panel of panels) {
      const between = which === 'same' ? removalAtSpots : removalBetween
      const { removedUm, uncertaintyUm } = between(panel.before, panel[which], spread)!
      held += Number(Math.abs(removedUm - takenUm) <= 2 * uncertaintyUm)
      u += uncertaintyUm
      all += 1
    }
  }
  return { held: held / all, u: u / all, slack: 3 * Math.sqrt((0.95 * 0.05) / (all / 4)) }
}

describe('a removal', () => {
  test('read wherever the probe happens to be is known to about 3 µm, and says so', () => {
    const { held, u, slack } = coverage('other')
    tell(`removals read anywhere, said to ± ${u.toFixed(2)} µm, within twice that`, held)
    expect(u).toBeGreaterThan(2.7)
    expect(u).toBeLessThan(3.4)
    expect(held).toBeGreaterThan(0.93 - slack)
    expect(held).toBeLessThan(0.97 + slack)
  })
  test('read at the same spots is known to about 0.6 µm, and says so', () => {
    const { held, u, slack } = coverage('same')
    tell(`removals read at the same spots, said to ± ${u.toFixed(2)} µm, within twice that`, held)
    expect(u).toBeGreaterThan(0.5)
    expect(u).toBeLessThan(0.8)
    expect(held).toBeGreaterThan(0.93 - slack)
    expect(held).toBeLessThan(0.97 + slack)
  })
  test('into the ledger with a table that errs by a third: twice the uncertainty holds the truth as often', () => {
    const random = seededRandom(8)
    let [held, all] = [0, 0]
    for (let car = 0; car < tries(60, 800); car++) {
      const takenUm = 1.5 + 2 * random()
      const panels = twoRounds(random, 10, 2, takenUm)
      const table = takenUm * Math.exp(0.3 * normalDeviate(random))
      const entries = removalsOfVisit({
        beforeUm: listed(panels, 'before'),
        afterUm: listed(panels, 'same'),
        byProcessUm: Object.fromEntries(panels.map((_, at) => [`p${at}`, table])),
        sameSpots: panels.map((_, at) => `p${at}`),
        day: '2026-12-01' as never,
      })
      for (const { removedUm, uncertaintyUm } of entries) {
        held += Number(Math.abs(removedUm - takenUm) <= 2 * uncertaintyUm)
        all += 1
      }
    }
    const slack = 3 * Math.sqrt((0.95 * 0.05) / (all / 4))
    tell('entries of the ledger within twice their uncertainty', held / all)
    expect(held / all).toBeGreaterThan(0.93 - slack)
    expect(held / all).toBeLessThan(0.98 + slack)
  })
  test('a constant error of the gauge falls out', () => {
    const values = fc.array(fc.double({ min: 60, max: 200, noNaN: true }), { minLength: 2, maxLength: 9 })
    fc.assert(
      fc.property(values, values, fc.double({ min: -5, max: 5, noNaN: true }), (before, after, offset) => {
        for (const between of [removalBetween, removalAtSpots, removalAtSpot]) {
          const plain = between(before, after)!
          const shifted = between(
            before.map((um) => um + offset),
            after.map((um) => um + offset),
          )!
          expect(shifted.removedUm).toBeCloseTo(plain.removedUm, 6)
          expect(shifted.uncertaintyUm).toBeCloseTo(plain.uncertaintyUm, 6)
        }
      }),
    )
  })
  test('needs two readings on both sides', () => {
    for (const between of [removalBetween, removalAtSpots, removalAtSpot]) {
      expect(between([120], [117, 118])).toBeUndefined()
      expect(between([120, 121], [])).toBeUndefined()
    }
  })
  test('that no polishing makes is asked about', () => {
    expect(questionOf({ removedUm: -10, uncertaintyUm: 3 })).toBe('grown')
    expect(questionOf({ removedUm: -10, uncertaintyUm: 0.6 })).toBe('grown')
    expect(questionOf({ removedUm: 50, uncertaintyUm: 3 })).toBe('too-much-gone')
    expect(questionOf({ removedUm: 3, uncertaintyUm: 3 })).toBeUndefined()
    expect(questionOf({ removedUm: -2, uncertaintyUm: 3 })).toBeUndefined()
  })
})

describe('the mean of a panel', () => {
  test('is as sure as its spots are many, however often each was read', () => {
    const spread = { spotUm: 3, repeatUm: 1 }
    expect(meanFilm([120, 121, 120], spread)).toMatchObject({ spots: 1, uncertaintyUm: 3 })
    expect(meanFilm([120, 121, 120, 125, 125, 126], spread)!.uncertaintyUm).toBeCloseTo(3 / Math.SQRT2, 9)
    expect(meanFilm([], spread)).toBeUndefined()
  })
  test('what its spots differ by is learned from the whole car', () => {
    const even = Object.fromEntries(
      Array.from({ length: 13 }, (_, at) => [`p${at}`, [120, 120, 120, 120.5, 120.5, 120.5]]),
    )
    expect(spreadOf([even]).spotUm).toBeLessThan(2)
    expect(spreadOf([{ bonnet: [120, 121, 120] }])).toMatchObject({ spotUm: 3 })
  })
})

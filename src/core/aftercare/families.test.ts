import { expect, test } from 'vitest'
import { tell, tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { normalDeviate } from '../statistics.fixture'
import { WATERS } from './look'
import { outlookOf, type Unit } from './outlook'
import { waterChances } from './protection'

/**
 * Fleets whose coatings wear by other laws than the outlook knows, and live a fifth shorter than their data sheets say. The band
 * is to hold the truth eight times in ten all the same, and more visits must not make it worse.
 */

const SHEET_MONTHS = 18
const SHORT = 0.8
const PANELS = 8

/** What is left after so many lives, 1 when new, ½ at one life. */
const FAMILIES: Record<string, (lives: number) => number> = {
  weibull: (lives) => 2 ** -(lives ** 1.2),
  linear: (lives) => Math.max(0, 1 - lives / 2),
  'two-phase': (lives) => (lives < 0.5 ? 1 - 0.7 * lives : Math.max(0, 0.65 - 0.3 * (lives - 0.5))),
}
const VISITS = [[], [6], [6, 12], [5, 10, 15]]

function heldShare(levelOf: (lives: number) => number, visits: readonly number[], withAngles: boolean) {
  const random = seededRandom(741 + 31 * visits.length + 977 * Object.values(FAMILIES).indexOf(levelOf))
  const normal = () => normalDeviate(random)
  const word = (level: number) => {
    const chances = waterChances(level)
    let left = random()
    for (const water of WATERS) {
      left -= chances[water]
      if (left <= 0) return water
    }
    return 'wets' as const
  }
  let [held, all] = [0, 0]
  for (let car = 0; car < tries(24, 500); car++) {
    const common = 0.28 * normal()
    const units = Array.from({ length: PANELS }, (_, at) => {
      const truth = SHEET_MONTHS * SHORT * Math.exp(common + 0.1 * normal())
      const looks = visits.map((ageMonths) => {
        const level = levelOf(ageMonths / truth)
        return {
          unit: `p${at}`,
          ageMonths,
          cleaned: true,
          water: word(level),
          ...(withAngles ? { angleDegrees: 60 + 50 * level + 7 * normal() } : {}),
        }
      })
      const unit: Unit = { id: `p${at}`, lifeMonths: SHEET_MONTHS, ageMonths: visits.at(-1) ?? 0, looks }
      return { truth, unit }
    })
    const outlook = outlookOf(units.map(({ unit }) => unit))
    for (const [at, { truth }] of units.entries()) {
      const { low, high } = outlook.units[at]!.lifeMonths
      held += Number(low <= truth && truth <= high)
      all += 1
    }
  }
  return held / all
}

for (const [family, levelOf] of Object.entries(FAMILIES))
  for (const withAngles of [false, true])
    test(`${family} fleets, ${withAngles ? 'angles' : 'words'}: the band holds about as often as it says after any number of visits`, () => {
      const shares = VISITS.map((visits) => heldShare(levelOf, visits, withAngles))
      tell(
        `${family}, ${withAngles ? 'angles' : 'words'}, after none to three visits: ${shares.map((share) => (100 * share).toFixed(0)).join(' ')}, the last`,
        shares.at(-1)!,
      )
      // 24 cars share their luck among 8 panels each: three standard errors of that, and less where there are more.
      const slack = tries(0.18, 0.03)
      for (const share of shares) {
        expect(share).toBeGreaterThan(0.75 - slack)
        expect(share).toBeLessThan(0.85 + slack)
      }
      // More evidence makes it no worse.
      for (const share of shares.slice(1)) expect(share).toBeGreaterThan(shares[0]! - slack)
    })

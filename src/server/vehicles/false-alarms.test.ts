import { expect, test } from 'vitest'
import { trendOf } from '@/core/aftercare'
import { tell, tries } from '@/core/long.fixture'
import { seededRandom } from '@/core/schedule'
import { normalDeviate } from '@/core/statistics.fixture'
import { meanFilm, spreadOf } from '@/core/survey'

/** Years of visits to cars of which nothing was taken: whatever is said of their wear is a false alarm. */
test('at most one panel in twenty that did not change is said to have become thinner', () => {
  const random = seededRandom(12)
  const normal = () => normalDeviate(random)
  let [alarms, all] = [0, 0]
  for (let car = 0; car < tries(60, 600); car++) {
    const visits = 2 + Math.floor(3 * random())
    const levels = Array.from({ length: 13 }, () => 115 + 4 * normal())
    const rounds = Array.from({ length: visits }, () => {
      const offset = 0.8 * normal()
      return Object.fromEntries(
        levels.map((level, panel) => [
          `p${panel}`,
          [0, 1].flatMap(() => {
            const spot = level + 3 * normal()
            return [0, 1, 2].map(() => spot + offset + normal())
          }),
        ]),
      )
    })
    const spread = spreadOf(rounds)
    for (const panel of Object.keys(rounds[0]!)) {
      const trend = trendOf(
        rounds.map((round, at) => {
          const { meanUm, uncertaintyUm } = meanFilm(round[panel]!, spread)!
          return { at: at / 2, value: meanUm, sd: Math.hypot(uncertaintyUm, 0.8) }
        }),
      )!
      alarms += Number(trend.isReal && trend.perYear < 0)
      all += 1
    }
  }
  tell('panels that did not change, said to have become thinner', alarms / all)
  expect(alarms / all).toBeLessThan(0.05)
})

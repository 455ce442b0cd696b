import { describe, expect, test } from 'vitest'
import { tell, tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { normalDeviate } from '../statistics.fixture'
import { type FilmWitness, rateOfCar } from './give'

/**
 * Finished cars whose true rate is known: thirteen panels, some lightly polished and some cut, read before and after by a gauge
 * that is off by a little on each day.
 */
function car(random: () => number, readUm: number) {
  const normal = () => normalDeviate(random)
  const rate = Math.exp(0.25 * normal())
  const hand = Math.exp(0.12 * normal())
  const offset = 0.3 * normal()
  const films = Array.from({ length: 13 }, (): FilmWitness => {
    const tableUm = random() < 0.5 ? 0.25 : 1 + 2 * random()
    const removedUm = tableUm * rate * hand + readUm * normal() + offset
    return { removedUm, uncertaintyUm: Math.hypot(readUm, 0.3), tableUm }
  })
  return { rate, told: rateOfCar(films)! }
}

describe.each([
  ['read at the same spots', 0.6],
  ['read wherever the probe was', 3],
])('a finished car, %s', (how, readUm) => {
  test('tells its rate within twice its uncertainty in at least 93 of 100, and errs to neither side', () => {
    const random = seededRandom(21)
    const runs = tries(400, 4000)
    let [held, above] = [0, 0]
    for (let run = 0; run < runs; run++) {
      const { rate, told } = car(random, readUm)
      held += Number(Math.abs(told.log - Math.log(rate)) <= 2 * Math.sqrt(told.variance))
      above += Number(told.log > Math.log(rate))
    }
    tell(`rates of finished cars, ${how}, within twice their uncertainty`, held / runs)
    expect(held / runs).toBeGreaterThan(0.93 - 3 * Math.sqrt((0.95 * 0.05) / runs))
    expect(above / runs).toBeGreaterThan(0.42)
    expect(above / runs).toBeLessThan(0.58)
  })
})

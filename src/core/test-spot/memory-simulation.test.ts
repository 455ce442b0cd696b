import { describe, expect, test } from 'vitest'
import { SEEDED_METHODS } from '../correction'
import { toVehicleId } from '../ids'
import { tell, tries } from '../long.fixture'
import { seededRandom } from '../schedule'
import { normalDeviate } from '../statistics.fixture'
import { studyGroup } from './knowledge'
import type { KnownCar, PaintKey } from './memory'
import { tableUm } from './recipe'
import { attempt } from './spots.fixture'

/**
 * Shops of which the truth is known. Cars of one paint scatter about the mean of their class; a spot is read before and after at
 * the same place with a gauge that repeats to 1 µm, three readings a side; every hand differs by a tenth or so.
 */

const PAINT: PaintKey = {
  make: 'Corvane',
  colour: 'Bottle green',
  colourCode: 'G19',
  year: 2022,
  paintSystem: 'clear-over-base',
}
const HAND = 0.12
const GAUGE_UM = 1

type World = { betweenCars: number; cousins: number; spots: number }

function oneCar({ betweenCars, cousins, spots }: World, random: () => number) {
  const normal = () => normalDeviate(random)
  const mean = 0.28 * normal()
  const rate = Math.exp(mean + betweenCars * normal())
  const memory = Array.from({ length: cousins }, (_, at): KnownCar => {
    const sd = 0.08 + 0.12 * random()
    return {
      vehicleId: toVehicleId(`c${at}`),
      paint: PAINT,
      group: 'metal-original',
      give: { log: mean + betweenCars * normal() + sd * normal(), variance: sd ** 2 },
    }
  })
  const attempts = Array.from({ length: spots }, () => {
    const tried = attempt({ process: 'two-step' })
    const taken = tableUm(tried, SEEDED_METHODS) * rate * Math.exp(HAND * normal())
    const read = (um: number) => [0, 1, 2].map(() => um + GAUGE_UM * normal())
    return { ...tried, beforeUm: read(120), afterUm: read(120 - taken) }
  })
  const { give } = studyGroup('metal-original', {
    hardness: 'medium',
    paint: PAINT,
    memory,
    methods: SEEDED_METHODS,
    attempts,
  })
  return Math.abs(Math.log(rate) - give.log) <= 2 * Math.sqrt(give.variance)
}

describe('two standard deviations hold this car’s rate in 93 to 97 of 100', () => {
  for (const cousins of [5, 80])
    for (const spots of [0, 2, 8])
      test(`with ${cousins} cousins and ${spots} spots of its own`, () => {
        const random = seededRandom(cousins * 31 + spots)
        const runs = tries(300, 4000)
        let held = 0
        for (let run = 0; run < runs; run++)
          held += Number(oneCar({ betweenCars: 0.15, cousins, spots }, random))
        tell(`${cousins} cousins, ${spots} own spots`, held / runs)
        // Three standard errors of such a share either way.
        const slack = 3 * Math.sqrt((0.95 * 0.05) / runs)
        expect(held / runs).toBeGreaterThan(0.93 - slack)
        expect(held / runs).toBeLessThan(0.97 + slack)
      })
  test('also where cars of one paint differ more than the shop was told', () => {
    const random = seededRandom(7)
    const runs = tries(200, 2000)
    let held = 0
    for (let run = 0; run < runs; run++)
      held += Number(oneCar({ betweenCars: 0.3, cousins: 80, spots: 2 }, random))
    tell('cars of one paint twice as far apart, 80 cousins, 2 own spots', held / runs)
    expect(held / runs).toBeGreaterThan(0.93 - 3 * Math.sqrt((0.95 * 0.05) / runs))
  })
})

import type { Look } from './look'
import type { Unit } from './outlook'
import type { Band } from './outlook-grid'
import { levelAt, likelihood, WEAR_SHAPES } from './protection'

/**
 * How long a coating really holds here, from every inspection of every car it was applied on. What still held and what had gone
 * are heard alike: each look speaks for the lives it fits. A small Bayesian grid over the logarithm of the life against what the
 * data sheet and the use of each car would give; cars differ among each other, and panels of one car are no witnesses of their own.
 */

/** One car with this coating: its inspected parts, each with its looks. */
export type CoatedCar = { units: readonly Pick<Unit, 'lifeMonths' | 'looks'>[] }

export type PooledLife = {
  /** Share of what the sheet and the use of the cars would give: 1 as the sheet says. Holds the truth eight times in ten. */
  share: Band
  cars: number
  looks: number
  /** How long the oldest that was looked at had been on by then, months. */
  oldestMonths: number
}

/** What is believed before anybody has looked: sheets promise a little more than cars come to, and none is far out (mem). */
const PRIOR_MEAN = -0.1
const PRIOR_SD = 0.3
/** Spread of the logarithm of a life among cars, and among the panels of one (mem). */
const CAR_SD = 0.26
const PANEL_SD = 0.15
/** How much the panels of a car say the same: they were looked at by the same eyes in the same light (mem). */
const SAME_EYES = 0.3

const STEP = 0.05
const FROM = -1.6
const COUNT = 53
const LOGS = Array.from({ length: COUNT }, (_, at) => FROM + STEP * at)

/** Weights of a bell on the steps of the grid, out to three spreads. */
function kernel(sd: number): number[] {
  const reach = Math.ceil((3 * sd) / STEP)
  const weights = Array.from({ length: 2 * reach + 1 }, (_, at) =>
    Math.exp(-0.5 * (((at - reach) * STEP) / sd) ** 2),
  )
  const sum = weights.reduce((total, weight) => total + weight, 0)
  return weights.map((weight) => weight / sum)
}

/** A function on the grid, blurred; beyond its ends it goes on as it ends. */
function blurred(values: readonly number[], weights: readonly number[]): number[] {
  const reach = (weights.length - 1) / 2
  return values.map((_, at) =>
    weights.reduce(
      (sum, weight, step) => sum + weight * values[Math.min(COUNT - 1, Math.max(0, at + step - reach))]!,
      0,
    ),
  )
}

const OF_CARS = kernel(CAR_SD)
const OF_PANELS = kernel(PANEL_SD)

const fits = (look: Look & { ageMonths: number }, lifeMonths: number, shape: number) =>
  likelihood(levelAt(look.ageMonths, lifeMonths, shape), look)

/** Log-likelihood of one part's looks for each share of its expected life; how it wears is not known. */
function unitFits({ lifeMonths, looks }: CoatedCar['units'][number]): number[] {
  const own = LOGS.map((log) => {
    const life = lifeMonths * Math.exp(log)
    const ways = WEAR_SHAPES.map((shape) =>
      looks.reduce((product, look) => product * fits(look, life, shape), 1),
    )
    return ways.reduce((sum, way) => sum + way, 0) / ways.length
  })
  return blurred(own, OF_PANELS).map((likely) => Math.log(Math.max(likely, 1e-12)))
}

/** What a car says is the same in whichever pool it is counted: by use, by paint, among all. */
const told = new WeakMap<CoatedCar, number[]>()

function carFits(car: CoatedCar): number[] {
  const known = told.get(car)
  if (known) return known
  const fitted = fitsOf(car)
  told.set(car, fitted)
  return fitted
}

/** Log-likelihood of a car for each mean share of the fleet. */
function fitsOf({ units }: CoatedCar): number[] {
  const seen = units.filter(({ looks }) => looks.length > 0)
  // So many panels under the same eyes count as fewer.
  const weight = 1 / (1 + SAME_EYES * (seen.length - 1))
  const all = LOGS.map(() => 0)
  // Most panels of a car look alike, lie alike and wear alike.
  const alike = new Map<string, number[]>()
  for (const { lifeMonths, looks } of seen) {
    const key = JSON.stringify([lifeMonths, looks.map(({ unit: _, ...look }) => look)])
    const fitted = alike.get(key) ?? unitFits({ lifeMonths, looks })
    alike.set(key, fitted)
    for (const [at, log] of fitted.entries()) all[at]! += weight * log
  }
  const most = Math.max(...all)
  return blurred(
    all.map((log) => Math.exp(log - most)),
    OF_CARS,
  ).map((likely) => Math.log(Math.max(likely, 1e-300)))
}

const LOW = 0.1
const HIGH = 0.9

function quantile(chances: readonly number[], wanted: number): number {
  let sum = 0
  for (const [at, chance] of chances.entries()) {
    if (sum + chance >= wanted) {
      // Within its step a chance is spread evenly.
      const within = chance > 0 ? (wanted - sum) / chance : 0
      return FROM + STEP * (at - 0.5 + within)
    }
    sum += chance
  }
  return LOGS.at(-1)!
}

/** The life of one coating against its sheet, from all cars that were looked at; undefined where none was. */
export function pooledLife(cars: readonly CoatedCar[]): PooledLife | undefined {
  const seen = cars.filter(({ units }) => units.some(({ looks }) => looks.length > 0))
  if (seen.length === 0) return undefined
  const logs = LOGS.map((log) => -0.5 * ((log - PRIOR_MEAN) / PRIOR_SD) ** 2)
  for (const car of seen) for (const [at, log] of carFits(car).entries()) logs[at]! += log
  const most = Math.max(...logs)
  const weights = logs.map((log) => Math.exp(log - most))
  const sum = weights.reduce((total, weight) => total + weight, 0)
  const chances = weights.map((weight) => weight / sum)
  const [low, mid, high] = [LOW, 0.5, HIGH].map((wanted) => Math.exp(quantile(chances, wanted)))
  return {
    share: { low: low!, mid: mid!, high: high! },
    cars: seen.length,
    oldestMonths: Math.max(
      ...seen.flatMap(({ units }) => units.flatMap(({ looks }) => looks.map(({ ageMonths }) => ageMonths))),
    ),
    looks: seen.reduce(
      (total, { units }) => total + units.reduce((count, { looks }) => count + looks.length, 0),
      0,
    ),
  }
}

/** So many cars must have been looked at before a sheet is to be corrected (mem). */
export const LEAST_CARS = 5

/** Nothing that old has been looked at: such a life is read from how the coating wears so far. */
export const isForeseen = (months: number, { oldestMonths }: PooledLife): boolean => months > oldestMonths

/** Nothing half that old has been looked at: whatever is read from how it wears so far, nobody may say a number (mem). */
export const isTooFar = (months: number, { oldestMonths }: PooledLife): boolean => months > 2 * oldestMonths

/**
 * The life the sheet should say, whole months, where the cars leave no doubt that it is another; undefined where they do. A longer
 * life than the sheet’s is put on it once a car has come to it: a guarantee may hang on that.
 */
export function proposedLife(sheetMonths: number, pooled: PooledLife): number | undefined {
  const { share, cars } = pooled
  if (cars < LEAST_CARS || (share.low <= 1 && share.high >= 1)) return undefined
  const months = Math.max(1, Math.round(sheetMonths * share.mid))
  if (months === Math.round(sheetMonths) || (months > sheetMonths && isForeseen(months, pooled)))
    return undefined
  return months
}

import { type Method, type MethodKey, mildestFirst, type PanelGroup } from '../correction'
import type { VehicleId } from '../ids'
import type { PaintSystem } from '../vehicle'
import type { AttemptStep } from './attempt'
import { type Estimate, shrink } from './shrink'

/** How far the depth of marks of one kind differs from car to car, as a share of itself (mem). */
export const DEPTH_SD = 0.25

/** The shop’s memory: how paint like this answered on other cars. */

export type PaintKey = {
  make: string
  colour: string
  colourCode: string
  year?: number
  paintSystem: PaintSystem
}

/** What one earlier car taught about one group of its panels. */
export type KnownCar = {
  vehicleId: VehicleId
  paint: PaintKey
  group: PanelGroup
  /** All its witnesses taken together; absent where only a verdict was written down. */
  give?: Estimate
  /** The same of what went at its spots: its rate over the depth of its marks. */
  ratio?: Estimate
  /** The method that was good enough at its test spot. */
  settled?: MethodKey
  /** How that spot was worked, step by step. */
  recipe?: readonly AttemptStep[]
}

const same = (a: string, b: string) =>
  a.trim() !== '' && a.trim().toLocaleLowerCase('en') === b.trim().toLocaleLowerCase('en')
const within = (years: number, a: PaintKey, b: PaintKey) =>
  a.year !== undefined && b.year !== undefined && Math.abs(a.year - b.year) <= years

export type Kinship = {
  id: 'same-paint' | 'same-colour' | 'same-maker' | 'same-time'
  /** How far the mean of such cars lies from the mean of the next wider circle, standard deviation of the logarithm (mem). */
  apart: number
  holds: (a: PaintKey, b: PaintKey) => boolean
}

/** Closest first, each within the next. The paint system must be the same throughout. */
export const KINSHIPS: readonly Kinship[] = [
  {
    id: 'same-paint',
    apart: 0.13,
    holds: (a, b) => same(a.make, b.make) && same(a.colourCode, b.colourCode),
  },
  {
    id: 'same-colour',
    apart: 0.13,
    holds: (a, b) => same(a.make, b.make) && same(a.colour, b.colour) && within(5, a, b),
  },
  {
    id: 'same-maker',
    apart: 0.2,
    holds: (a, b) => same(a.make, b.make) && within(5, a, b),
  },
  {
    id: 'same-time',
    apart: 0.3,
    holds: (a, b) => within(10, a, b),
  },
]

/** How far cars of one make and paint lie from their own mean, until the shop has seen how far (mem). */
const BETWEEN_CARS = 0.15
/** So many cars that guess is worth. */
const BETWEEN_CARS_WORTH = 6

/** A figure of this car as the memory has it. */
export type Remembered = {
  estimate: Estimate
  /** Standard deviation between cars that goes into it: no number of cousins tells this car surer than that. */
  betweenCars: number
}

export type Recall = {
  /** The rate, µm for each of medium paint. */
  give: Estimate
  /** The rate over the depth of its marks. */
  ratio: Estimate
  betweenCars: number
  /** Cars behind it, each counted once, at its closest. */
  cars: number
  /** The closest kin, how many of them there are, and how they are kin. */
  closest?: { kinship: Kinship; cars: number }
  /** The mildest method that was enough on the closest kin that had a test spot. */
  start?: { process: MethodKey; cars: number; kinship: Kinship['id'] }
  /** How the latest of those cars was worked by it. */
  recipe?: readonly AttemptStep[]
}

type Kin = { car: KnownCar; kinship: Kinship }

function kinshipOf(a: PaintKey, b: PaintKey): Kinship | undefined {
  return a.paintSystem === b.paintSystem ? KINSHIPS.find(({ holds }) => holds(a, b)) : undefined
}

/**
 * Variance between cars of the closest circle that holds several: what their figures scatter beyond their own errors, each
 * weighing by how sure it is (DerSimonian and Laird 1986), drawn towards the guess until there are many.
 */
function betweenCarsOf(figures: readonly Estimate[]): number {
  const guess = BETWEEN_CARS ** 2
  if (figures.length < 2) return guess
  const weights = figures.map(({ variance }) => 1 / variance)
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const mean = figures.reduce((sum, { log }, at) => sum + log * weights[at]!, 0) / total
  const scatter = figures.reduce((sum, { log }, at) => sum + weights[at]! * (log - mean) ** 2, 0)
  const spared = total - weights.reduce((sum, weight) => sum + weight ** 2, 0) / total
  const seen = Math.max(0, (scatter - (figures.length - 1)) / spared)
  // A car whose own figure is less sure than cars lie apart says little of how far they do.
  const told = figures.reduce((sum, { variance }) => sum + guess / (guess + variance), 0)
  const worth = Math.max(0, told - 1)
  return Math.max(guess / 9, (BETWEEN_CARS_WORTH * guess + worth * seen) / (BETWEEN_CARS_WORTH + worth))
}

/**
 * One figure of this car from the cars like it, circle within circle: the mean of all of its time, of its maker, its colour, its
 * very paint. Each circle begins at the mean of the wider one and as far apart as such circles lie, and is drawn to its own cars.
 * This car lies about the innermost mean as cars do about theirs, so that eighty cousins tell the mean of their paint and never
 * this car (a hierarchical normal model; the variance between cars is learned, the others are remembered).
 */
function rememberedOf(
  kin: readonly Kin[],
  declared: Estimate,
  figureOf: (car: KnownCar) => Estimate | undefined,
): Remembered {
  const circles = KINSHIPS.map((kinship) =>
    kin
      .flatMap(({ car, kinship: own }) => (own === kinship ? [figureOf(car)] : []))
      .filter((each) => each !== undefined),
  )
  const closest = circles.find((figures) => figures.length > 1) ?? []
  const between = betweenCarsOf(closest)
  if (circles.every((figures) => figures.length === 0))
    return { estimate: declared, betweenCars: Math.sqrt(between) }
  // What was declared stands for the mean of its time, too: nothing else is known of that before there are cars.
  let mean: Estimate = { log: declared.log, variance: declared.variance + KINSHIPS.at(-1)!.apart ** 2 }
  for (let at = KINSHIPS.length - 1; at >= 0; at--) {
    // A car of this circle lies apart from its mean by all the circles inside it.
    const inside = KINSHIPS.slice(0, at).reduce((sum, { apart }) => sum + apart ** 2, 0)
    mean = shrink(
      mean,
      circles[at]!.map(({ log, variance }) => ({ log, variance: variance + between + inside })),
    )
    if (at > 0) mean = { log: mean.log, variance: mean.variance + KINSHIPS[at - 1]!.apart ** 2 }
  }
  return {
    estimate: shrink({ log: mean.log, variance: mean.variance + between }, []),
    betweenCars: Math.sqrt(between),
  }
}

/** What the memory, the latest car first, says of a group on this paint; without kin what was declared stands as it is. */
export function recall(
  memory: readonly KnownCar[],
  paint: PaintKey,
  group: PanelGroup,
  declared: Estimate,
  methods: readonly Method[],
): Recall {
  const kin = memory
    .filter((car) => car.group === group)
    .flatMap((car) => {
      const kinship = kinshipOf(paint, car.paint)
      return kinship ? [{ car, kinship }] : []
    })
  const nearest = KINSHIPS.find(({ id }) => kin.some(({ kinship }) => kinship.id === id))
  const settled = KINSHIPS.map((kinship) => ({
    kinship,
    cars: kin.flatMap(({ car, kinship: { id } }) => (id === kinship.id && car.settled ? [car] : [])),
  })).find(({ cars }) => cars.length > 0)
  const mildest =
    settled && mildestFirst(methods).find(({ key }) => settled.cars.some((car) => car.settled === key))
  const recipe = settled?.cars.find((car) => car.settled === mildest?.key && car.recipe)?.recipe
  const give = rememberedOf(kin, declared, (car) => car.give)
  // Of depth nothing is known before marks were seen to go: the ratio is the rate, and as much less sure.
  const ratio = { log: give.estimate.log, variance: give.estimate.variance + DEPTH_SD ** 2 }
  return {
    give: give.estimate,
    ratio: rememberedOf(kin, ratio, (car) => car.ratio).estimate,
    betweenCars: give.betweenCars,
    cars: new Set(kin.map(({ car }) => car.vehicleId)).size,
    ...(nearest
      ? { closest: { kinship: nearest, cars: kin.filter(({ kinship }) => kinship === nearest).length } }
      : {}),
    ...(settled && mildest
      ? { start: { process: mildest.key, cars: settled.cars.length, kinship: settled.kinship.id } }
      : {}),
    ...(mildest && recipe ? { recipe } : {}),
  }
}

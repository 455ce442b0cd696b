import { type PanelGroup, PROCESS_KEYS, type ProcessKey } from '../correction'
import type { VehicleId } from '../ids'
import type { PaintSystem } from '../vehicle'
import { type Estimate, shrink } from './shrink'

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
  /** The process that was good enough at its test spot. */
  settled?: ProcessKey
}

const same = (a: string, b: string) =>
  a.trim() !== '' && a.trim().toLocaleLowerCase('en') === b.trim().toLocaleLowerCase('en')
const within = (years: number, a: PaintKey, b: PaintKey) =>
  a.year !== undefined && b.year !== undefined && Math.abs(a.year - b.year) <= years

export type Kinship = {
  id: 'same-paint' | 'same-colour' | 'same-maker' | 'same-time'
  /** How far two such cars differ, standard deviation of the logarithm (mem). */
  spread: number
  holds: (a: PaintKey, b: PaintKey) => boolean
}

/** Closest first. The paint system must be the same throughout. */
export const KINSHIPS: readonly Kinship[] = [
  {
    id: 'same-paint',
    spread: 0.12,
    holds: (a, b) => same(a.make, b.make) && same(a.colourCode, b.colourCode),
  },
  {
    id: 'same-colour',
    spread: 0.18,
    holds: (a, b) => same(a.make, b.make) && same(a.colour, b.colour) && within(5, a, b),
  },
  {
    id: 'same-maker',
    spread: 0.22,
    holds: (a, b) => same(a.make, b.make) && within(5, a, b),
  },
  {
    id: 'same-time',
    spread: 0.3,
    holds: (a, b) => within(10, a, b),
  },
]

export type Recall = {
  give: Estimate
  /** Cars behind it, each counted once, at its closest. */
  cars: number
  /** The closest kin, how many of them there are, and how they are kin. */
  closest?: { kinship: Kinship; cars: number }
  /** The mildest process that was enough on the closest kin that had a test spot. */
  start?: { process: ProcessKey; cars: number; kinship: Kinship['id'] }
}

function kinshipOf(a: PaintKey, b: PaintKey): Kinship | undefined {
  return a.paintSystem === b.paintSystem ? KINSHIPS.find(({ holds }) => holds(a, b)) : undefined
}

/** What the memory says of a group on this paint; without kin the prior stands as it is. */
export function recall(
  memory: readonly KnownCar[],
  paint: PaintKey,
  group: PanelGroup,
  prior: Estimate,
): Recall {
  const kin = memory
    .filter((car) => car.group === group)
    .flatMap((car) => {
      const kinship = kinshipOf(paint, car.paint)
      return kinship ? [{ car, kinship }] : []
    })
  const witnesses = kin.flatMap(({ car: { give }, kinship }) =>
    give ? [{ log: give.log, variance: give.variance + kinship.spread ** 2 }] : [],
  )
  const nearest = KINSHIPS.find(({ id }) => kin.some(({ kinship }) => kinship.id === id))
  const settled = KINSHIPS.map((kinship) => ({
    kinship,
    keys: kin.flatMap(({ car, kinship: { id } }) => (id === kinship.id && car.settled ? [car.settled] : [])),
  })).find(({ keys }) => keys.length > 0)
  return {
    give: shrink(prior, witnesses),
    cars: new Set(kin.map(({ car }) => car.vehicleId)).size,
    ...(nearest
      ? { closest: { kinship: nearest, cars: kin.filter(({ kinship }) => kinship === nearest).length } }
      : {}),
    ...(settled
      ? {
          start: {
            process: PROCESS_KEYS.find((key) => settled.keys.includes(key))!,
            cars: settled.keys.length,
            kinship: settled.kinship.id,
          },
        }
      : {}),
  }
}

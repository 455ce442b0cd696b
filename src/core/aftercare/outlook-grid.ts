/** The grids of logarithms an outlook is worked out on, and what is read from them. */

export type Band = { low: number; mid: number; high: number }

/** The band holds the truth eight times in ten. */
export const BAND_CHANCE = 0.8
export const LOW = (1 - BAND_CHANCE) / 2
export const HIGH = 1 - LOW

/** Spread of the logarithm of a life: of cars among each other, and of panels of one car (mem). */
const CAR_SD = 0.265
/** What a data sheet says is a little more than what cars come to, as a logarithm (mem). */
const CAR_MEAN = -0.1
const PANEL_SD = 0.1
/** Three panels in a hundred have something of its own, and then mostly a shorter life (mem). */
const ODD_CHANCE = 0.03
const ODD_MEAN = -0.7
const ODD_SD = 0.6

export const bell = (x: number, mean: number, sd: number) => Math.exp(-0.5 * ((x - mean) / sd) ** 2) / sd

/** Both grids are even and of one step, so that a sum of two of their logarithms falls on a grid again. */
export const STEP = 0.025
export const CAR_REACH = { from: -1.1, count: 89 }
export const PANEL_REACH = { from: -2.4, count: 137 }
export const SUM_REACH = {
  from: CAR_REACH.from + PANEL_REACH.from,
  count: CAR_REACH.count + PANEL_REACH.count - 1,
}

type Reach = { from: number; count: number }

export const logsOf = ({ from, count }: Reach) => Array.from({ length: count }, (_, at) => from + STEP * at)
export const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0)

export function chancesOn(reach: Reach, density: (log: number) => number): number[] {
  const weights = logsOf(reach).map(density)
  const sum = sumOf(weights)
  return weights.map((weight) => weight / sum)
}

export const CAR_LOGS = logsOf(CAR_REACH)
export const CAR_CHANCES = chancesOn(CAR_REACH, (log) => bell(log, CAR_MEAN, CAR_SD))
export const PANEL_CHANCES = chancesOn(
  PANEL_REACH,
  (log) => (1 - ODD_CHANCE) * bell(log, 0, PANEL_SD) + ODD_CHANCE * bell(log, ODD_MEAN, ODD_SD),
)
export const SUM_LOGS = logsOf(SUM_REACH)

/** Values in rising order with their weights. */
export type Spread = readonly { value: number; chance: number }[]

/** The value below which `share` of the weight lies, between neighbours by line. */
export function quantile(spread: Spread, share: number): number {
  const total = sumOf(spread.map(({ chance }) => chance))
  let below = 0
  let previous: { value: number; upTo: number } | undefined
  for (const { value, chance } of spread) {
    // The weight of a cell is taken to lie about its value, half on either side.
    const upTo = (below + chance / 2) / total
    if (upTo >= share) {
      const step = previous ? upTo - previous.upTo : 0
      return previous && step > 0
        ? previous.value + ((value - previous.value) * (share - previous.upTo)) / step
        : value
    }
    below += chance
    previous = { value, upTo }
  }
  return spread.at(-1)!.value
}

export const bandOf = (spread: Spread): Band => ({
  low: quantile(spread, LOW),
  mid: quantile(spread, 0.5),
  high: quantile(spread, HIGH),
})

import type { Random } from '../solver/random'

/** One draw of a standard normal variable (Box and Muller 1958), of two uniform ones. */
function standardNormal(random: Random): number {
  // The logarithm of nothing is not a number; the generator gives numbers in [0, 1).
  const radius = Math.sqrt(-2 * Math.log(1 - random()))
  return radius * Math.cos(2 * Math.PI * random())
}

/** The variance of a lognormal variable’s logarithm, from its coefficient of variation; and back. */
export const logVariance = (spread: number): number => Math.log(1 + spread ** 2)
export const spreadOf = (variance: number): number => Math.sqrt(Math.exp(variance) - 1)

/**
 * A factor on the minutes of a piece of work: lognormal with mean 1 and this coefficient of variation (0 and more). The two numbers are
 * drawn whatever the spread, so that a schedule with other spreads meets the same luck.
 */
export function spreadFactor(random: Random, spread: number): number {
  const normal = standardNormal(random)
  const variance = logVariance(spread)
  return Math.exp(Math.sqrt(variance) * normal - variance / 2)
}

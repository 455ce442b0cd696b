import type { Estimate } from './shrink'

/** Points of the grid, and how many standard deviations of what was believed it reaches to either side. */
const POINTS = 801
const REACH_SD = 10

/**
 * A figure after witnesses whose errors are not those of a straight line: every value on a fine grid is weighed by what was
 * believed before and by how well it explains what was seen. With `freedom` the belief is a Student t of so many degrees and as
 * wide, which yields to a surprise; without it a normal one.
 */
export function onGrid(
  before: Estimate,
  logLikelihood: (log: number) => number,
  freedom = Number.POSITIVE_INFINITY,
): Estimate {
  const sd = Math.sqrt(before.variance)
  const belief = (z: number) =>
    Number.isFinite(freedom) ? -0.5 * (freedom + 1) * Math.log1p(z ** 2 / freedom) : -0.5 * z ** 2
  const grid = Array.from({ length: POINTS }, (_, at) => {
    const z = REACH_SD * ((2 * at) / (POINTS - 1) - 1)
    const log = before.log + z * sd
    return { log, weight: belief(z) + logLikelihood(log) }
  })
  const most = Math.max(...grid.map(({ weight }) => weight))
  const weights = grid.map(({ weight }) => Math.exp(weight - most))
  const total = weights.reduce((a, b) => a + b, 0)
  const mean = grid.reduce((sum, { log }, at) => sum + log * weights[at]!, 0) / total
  const variance = grid.reduce((sum, { log }, at) => sum + (log - mean) ** 2 * weights[at]!, 0) / total
  return { log: mean, variance }
}

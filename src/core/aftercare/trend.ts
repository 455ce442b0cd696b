/** A figure followed over the years, with what the gauge cannot tell kept in view. */

/** One visit’s mean; `at` in years from any start, `sd` the standard uncertainty of the mean, in the unit of the value. */
export type TrendPoint = { at: number; value: number; sd: number }

export type Trend = {
  /** Change a year, with its standard uncertainty. */
  perYear: number
  sdPerYear: number
  /** The value at the last point, by the line. */
  last: number
  /** Whether the change is more than twice its uncertainty: else nothing can be said but that it may be chance. */
  isReal: boolean
}

/** A change counts as real beyond so many standard uncertainties (about 95 in 100 by a normal distribution). */
const SURE_SDS = 2

/**
 * Straight line by weighted least squares, each point weighing by its known variance; the slope’s uncertainty follows from
 * those variances. Undefined for fewer than two moments. Source: the usual normal equations of weighted regression.
 */
export function trendOf(points: readonly TrendPoint[]): Trend | undefined {
  const weights = points.map(({ sd }) => 1 / sd ** 2)
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const meanOf = (pick: (point: TrendPoint) => number) =>
    points.reduce((sum, point, i) => sum + weights[i]! * pick(point), 0) / total
  const [at, value] = [meanOf((point) => point.at), meanOf((point) => point.value)]
  const spread = points.reduce((sum, point, i) => sum + weights[i]! * (point.at - at) ** 2, 0)
  if (!(spread > 0)) return undefined
  const perYear =
    points.reduce((sum, point, i) => sum + weights[i]! * (point.at - at) * (point.value - value), 0) / spread
  const sdPerYear = Math.sqrt(1 / spread)
  const latest = points.reduce((most, point) => Math.max(most, point.at), Number.NEGATIVE_INFINITY)
  return {
    perYear,
    sdPerYear,
    last: value + perYear * (latest - at),
    isReal: Math.abs(perYear) > SURE_SDS * sdPerYear,
  }
}

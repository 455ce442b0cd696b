/** Small-sample statistics of film readings. All in the unit of the readings; empty lists throw. */

export function mean(values: readonly number[]): number {
  requireSome(values)
  return values.reduce((total, value) => total + value, 0) / values.length
}

/** Sample standard deviation (n − 1), two-pass so that large offsets do not cancel. 0 for a single value. */
export function standardDeviation(values: readonly number[]): number {
  requireSome(values)
  if (values.length === 1) return 0
  const centre = mean(values)
  const squares = values.reduce((total, value) => total + (value - centre) ** 2, 0)
  const drift = values.reduce((total, value) => total + (value - centre), 0)
  return Math.sqrt((squares - drift ** 2 / values.length) / (values.length - 1))
}

export function median(values: readonly number[]): number {
  requireSome(values)
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** Median absolute deviation from the median, unscaled: a spread that one outlier cannot move. */
export function medianAbsoluteDeviation(values: readonly number[]): number {
  const centre = median(values)
  return median(values.map((value) => Math.abs(value - centre)))
}

function requireSome(values: readonly number[]): void {
  if (values.length === 0) throw new Error('a statistic needs at least one value')
}

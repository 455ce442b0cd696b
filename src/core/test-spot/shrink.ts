/**
 * A figure known from several sides. Each side counts by the inverse of its variance, and the prior is one of them, so
 * that one odd observation moves the figure a little and many move it far. Logarithms, since a paint may give way
 * half or twice as readily.
 */

/** Logarithm of a factor, and the variance of that logarithm. */
export type Estimate = { log: number; variance: number }

/** The mean of all by inverse variance. Never surer than the surest allows, never outside the range of its witnesses. */
export function shrink(prior: Estimate, witnesses: readonly Estimate[]): Estimate {
  const all = [prior, ...witnesses]
  const precision = all.reduce((sum, { variance }) => sum + 1 / variance, 0)
  const log = all.reduce((sum, each) => sum + each.log / each.variance, 0) / precision
  return { log, variance: 1 / precision }
}

/** The factor itself with the band that holds it two times in three. */
export function factorOf({ log, variance }: Estimate): { factor: number; low: number; high: number } {
  const sd = Math.sqrt(variance)
  return { factor: Math.exp(log), low: Math.exp(log - sd), high: Math.exp(log + sd) }
}

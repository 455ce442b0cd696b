/** How jobs of one kind scatter about their mean, as logarithms of what they took against what was set for them. */

/** Of one job only what took so many minutes counts (mem). */
export const LEAST_MINUTES = 5
/** No single job is believed to have gone further from what was set than this: a clock was left running (mem). */
const MOST_FACTOR = 3

export const logFactor = (factor: number): number =>
  Math.log(Math.min(MOST_FACTOR, Math.max(1 / MOST_FACTOR, factor)))

/** Variance from job to job: what they scatter about their mean, drawn towards a guess that is worth so many jobs until there are many. */
export function jobVariance(logs: readonly number[], guess: number, worth: number): number {
  const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length
  const scatter = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0)
  return (worth * guess + scatter) / (worth + logs.length - 1)
}

/**
 * How many standard deviations something learned must lie from what is in use before it is proposed. A shop looks at many
 * figures, many times a year: held to the usual two, every second shop would be shown some change that is only chance.
 */

/** Share of shops that may see any proposal in a year in which nothing has changed. */
const FALSE_ALARMS = 0.05
/** A table is looked at month after month, on jobs that are mostly the same: so many looks of their own that amounts to (mem). */
const LOOKS = 12

/** Standard deviations a normal value exceeds with probability `tail`, 0 < tail ≤ 0.5 (Abramowitz and Stegun, 26.2.23; to 0.0005). */
export function deviationsOf(tail: number): number {
  const t = Math.sqrt(-2 * Math.log(tail))
  return t - (2.515517 + t * (0.802853 + t * 0.010328)) / (1 + t * (1.432788 + t * (0.189269 + t * 0.001308)))
}

/** Standard deviations asked for where so many figures are looked at together. */
export const surenessFor = (figures: number): number =>
  deviationsOf(FALSE_ALARMS / 2 / LOOKS / Math.max(1, figures))

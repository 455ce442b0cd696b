import { type Instant, minutesBetween, plusMinutes } from '../time'

/** Where a measured value is going, from its last readings. */

export type Reading = { at: Instant; value: number }

/** Trends are believed for no longer than this ahead, minutes (mem): weather turns. */
const BELIEVED_AHEAD_MINUTES = 12 * 60
/** Only the last readings say where it goes now, minutes (mem): what was before the wind turned does not. */
const RECENT_MINUTES = 40
/** A slope from fewer readings, or from a shorter time, says nothing (mem). */
const LEAST_READINGS = 4
const LEAST_SPAN_MINUTES = 20

/**
 * Slope per minute as the median of the slopes between all pairs (Theil 1950, Sen 1968), which one slip of the sensor does
 * not move. Undefined where there is too little to go by.
 */
export function slopePerMinute(readings: readonly Reading[]): number | undefined {
  const [first, last] = [readings[0], readings.at(-1)]
  if (readings.length < LEAST_READINGS || !first || !last) return undefined
  if (minutesBetween(first.at, last.at) < LEAST_SPAN_MINUTES) return undefined
  const slopes = readings.flatMap((a, index) =>
    readings.slice(index + 1).flatMap((b) => {
      const minutes = minutesBetween(a.at, b.at)
      return minutes > 0 ? [(b.value - a.value) / minutes] : []
    }),
  )
  slopes.sort((a, b) => a - b)
  const middle = Math.floor(slopes.length / 2)
  return slopes.length % 2 === 1 ? slopes[middle] : (slopes[middle - 1]! + slopes[middle]!) / 2
}

/**
 * When a value that is out of its limits should be back within them if it goes on as it does; undefined where it does not
 * go that way, or not within half a day. Readings oldest first.
 */
export function backWithin(
  readings: readonly Reading[],
  limits: { min: number; max: number },
): Instant | undefined {
  const last = readings.at(-1)
  const recent = readings.filter(({ at }) => last && minutesBetween(at, last.at) <= RECENT_MINUTES)
  const slope = slopePerMinute(recent)
  if (!last || slope === undefined || slope === 0) return undefined
  const missing =
    last.value > limits.max ? limits.max - last.value : last.value < limits.min ? limits.min - last.value : 0
  const minutes = missing / slope
  if (missing === 0 || minutes <= 0 || minutes > BELIEVED_AHEAD_MINUTES) return undefined
  return plusMinutes(last.at, Math.ceil(minutes))
}

import { clockIn, type Instant, minutesBetween } from '../time'

/** When a backup is made: at night, while nobody writes; by day only where the night was missed. */

/** Hours of the shop's clock. */
const NIGHT = { from: '02:00', until: '05:00' } as const
/** Minutes since the last: less than a day, so that a night a little early still counts. */
const NIGHTLY = 20 * 60
const OVERDUE = 26 * 60
/** Two nights without one, minutes. */
const MISSED = 48 * 60

/** Whether one is to be made now; `last` is when the last good one was. */
export function isDue(zone: string, last: Instant | undefined, now: Instant): boolean {
  if (!last) return true
  const since = minutesBetween(last, now)
  const clock = clockIn(zone, now)
  const isNight = clock >= NIGHT.from && clock < NIGHT.until
  return since >= (isNight ? NIGHTLY : OVERDUE)
}

/** Whether the owner is told that backups are missing. */
export const isMissed = (last: Instant | undefined, now: Instant): boolean =>
  !last || minutesBetween(last, now) >= MISSED

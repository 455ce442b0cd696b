import { epochMinutes, type Instant } from '../time'
import { openIntervals } from './calendar'
import type { ProblemCalendar } from './problem'

/** Minutes between two instants in which a calendar is open. 0 where `to` lies before `from`. */
export function openMinutesBetween(
  calendar: ProblemCalendar,
  zone: string,
  from: Instant,
  to: Instant,
): number {
  const origin = epochMinutes(from)
  const range = { from: 0, to: epochMinutes(to) - origin }
  if (range.to <= 0) return 0
  return openIntervals(calendar, zone, origin, range).reduce((sum, open) => sum + open.to - open.from, 0)
}

/** The first instant at or after `from` at which a calendar is open, looking `days` ahead. */
export function nextOpen(
  calendar: ProblemCalendar,
  zone: string,
  from: Instant,
  days = 14,
): Instant | undefined {
  const origin = epochMinutes(from)
  const [first] = openIntervals(calendar, zone, origin, { from: 0, to: days * 1440 })
  return first ? (new Date((origin + first.from) * 60_000).toISOString() as Instant) : undefined
}

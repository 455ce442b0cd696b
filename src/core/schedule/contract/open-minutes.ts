import { epochMinutes, fromEpochMinutes, type Instant, minutesBetween, type Span } from '../../time'
import { openIntervals } from './calendar'
import type { ProblemCalendar } from './problem'

/** The stretches between two instants in which a calendar is open, in their order. */
export function openSpans(calendar: ProblemCalendar, zone: string, from: Instant, to: Instant): Span[] {
  const origin = epochMinutes(from)
  const range = { from: 0, to: epochMinutes(to) - origin }
  if (range.to <= 0) return []
  return openIntervals(calendar, zone, origin, range).map((open) => ({
    from: fromEpochMinutes(origin + open.from),
    to: fromEpochMinutes(origin + open.to),
  }))
}

/** Minutes between two instants in which a calendar is open. 0 where `to` lies before `from`. */
export function openMinutesBetween(
  calendar: ProblemCalendar,
  zone: string,
  from: Instant,
  to: Instant,
): number {
  return openSpans(calendar, zone, from, to).reduce(
    (sum, open) => sum + minutesBetween(open.from, open.to),
    0,
  )
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
  return first && fromEpochMinutes(origin + first.from)
}

import {
  atLocal,
  dayIn,
  epochMinutes,
  fromEpochMinutes,
  type LocalDay,
  plusDays,
  weekdayOf,
} from '../../time'
import { type Interval, mergeIntervals } from './intervals'
import type { ProblemCalendar } from './problem'

export type WeeklyCalendar = Exclude<ProblemCalendar, { always: true }>
type OpenDay = readonly (readonly [string, string])[]

/** The open intervals of one day on the wall clock. */
export function openOn(calendar: WeeklyCalendar, day: LocalDay): OpenDay {
  const exception = calendar.exceptions?.findLast((candidate) => candidate.date === day)
  return exception?.open ?? calendar.weekly[weekdayOf(day)] ?? []
}

/**
 * The open time of a calendar between two moments, in minutes counted from `originMinute` (epoch minutes).
 * Local clock times become instants day by day, so a day of changing clocks has 23 or 25 hours.
 */
export function openIntervals(
  calendar: ProblemCalendar,
  zone: string,
  originMinute: number,
  range: Interval,
): Interval[] {
  if ('always' in calendar) return [range]
  const open: Interval[] = []
  const last = dayIn(zone, fromEpochMinutes(originMinute + range.to))
  let day = dayIn(zone, fromEpochMinutes(originMinute + range.from))
  for (; day <= last; day = plusDays(day, 1))
    for (const [from, to] of openOn(calendar, day))
      open.push({
        from: Math.max(range.from, epochMinutes(atLocal(zone, day, from)) - originMinute),
        to: Math.min(range.to, epochMinutes(atLocal(zone, day, to)) - originMinute),
      })
  return mergeIntervals(open)
}

import {
  atLocal,
  clockIn,
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

// Calendars come and go, as somebody is away or busy; the times their hours begin and end at are ever the same.
const MEMO_MAX = 50_000
const memo = new Map<string, number>()

/** A time that spring skips is reached as soon as the clocks show a later one; epoch minutes. */
function minuteOf(zone: string, day: LocalDay, clock: string): number {
  const key = `${zone} ${day} ${clock}`
  const before = memo.get(key)
  if (before !== undefined) return before
  if (memo.size >= MEMO_MAX) memo.clear()
  const found = computeMinuteOf(zone, day, clock)
  memo.set(key, found)
  return found
}

function computeMinuteOf(zone: string, day: LocalDay, clock: string): number {
  let at = epochMinutes(atLocal(zone, day, clock))
  const shows = (minute: number) => clockIn(zone, fromEpochMinutes(minute))
  if (shows(at) > clock && clock !== '24:00') while (shows(at - 1) > clock) at--
  return at
}

/** When a day is open, in epoch minutes, and which day follows. */
type KnownDay = { open: readonly (readonly [from: number, to: number])[]; next: LocalDay }

// Every plan asks for the same weeks of the same calendars, which live as long as the set-up they stand in.
const known = new WeakMap<WeeklyCalendar, Map<string, KnownDay>>()

function knownDay(calendar: WeeklyCalendar, zone: string, day: LocalDay): KnownDay {
  const days = known.get(calendar) ?? new Map<string, KnownDay>()
  known.set(calendar, days)
  const key = `${zone} ${day}`
  const before = days.get(key)
  if (before) return before
  const minute = (clock: string) => minuteOf(zone, day, clock)
  const found: KnownDay = {
    open: openOn(calendar, day).map(([from, to]) => [minute(from), minute(to)]),
    next: plusDays(day, 1),
  }
  days.set(key, found)
  return found
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
  while (day <= last) {
    const { open: hours, next } = knownDay(calendar, zone, day)
    for (const [from, to] of hours)
      open.push({
        from: Math.max(range.from, from - originMinute),
        to: Math.min(range.to, to - originMinute),
      })
    day = next
  }
  return mergeIntervals(open)
}

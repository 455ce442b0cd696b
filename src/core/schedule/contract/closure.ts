import {
  clockMinutes,
  clockOf,
  dayIn,
  type Instant,
  type LocalDay,
  minuteOfDay,
  plusDays,
  WEEKDAYS,
} from '../../time'
import { openOn, type WeeklyCalendar } from './calendar'
import { mergeIntervals } from './intervals'
import type { ProblemCalendar } from './problem'

const MIDNIGHT = 1440
const ALL_DAY: [string, string][] = [['00:00', '24:00']]
const ALL_WEEK = Object.fromEntries(WEEKDAYS.map((day) => [day, ALL_DAY]))

/**
 * The same calendar, closed from one instant to another: an illness, a holiday. Each day it touches becomes an exception,
 * so that the rest of the day stays as it was. An empty stretch changes nothing.
 */
export function closedBetween(
  calendar: ProblemCalendar,
  zone: string,
  from: Instant,
  until: Instant,
): ProblemCalendar {
  return changedBetween(calendar, { zone, from, until }, (open, shut) =>
    open.flatMap((stretch) => [
      { from: stretch.from, to: Math.min(stretch.to, shut.from) },
      { from: Math.max(stretch.from, shut.to), to: stretch.to },
    ]),
  )
}

/** The same calendar, open as well from one instant to another: somebody stays longer, or comes in on a Saturday. */
export function openedBetween(
  calendar: ProblemCalendar,
  zone: string,
  from: Instant,
  until: Instant,
): ProblemCalendar {
  return changedBetween(calendar, { zone, from, until }, (open, also) => [...open, also])
}

type Minutes = { from: number; to: number }

/** Each day that is touched becomes an exception: its open hours, minutes of the day, with the part of the stretch that lies in it. */
function changedBetween(
  calendar: ProblemCalendar,
  { zone, from, until }: { zone: string; from: Instant; until: Instant },
  change: (open: Minutes[], part: Minutes) => Minutes[],
): ProblemCalendar {
  if (until <= from) return calendar
  const usual: WeeklyCalendar = 'always' in calendar ? { weekly: ALL_WEEK } : calendar
  const exceptions = [...(usual.exceptions ?? [])]
  const [first, last] = [dayIn(zone, from), dayIn(zone, until)]
  for (let day = first; day <= last; day = plusDays(day, 1)) {
    const part = {
      from: day === first ? minuteOfDay(zone, from) : 0,
      to: day === last ? minuteOfDay(zone, until) : MIDNIGHT,
    }
    const known = openOn(usual, day).map(([start, end]) => ({
      from: clockMinutes(start),
      to: clockMinutes(end),
    }))
    const hours = mergeIntervals(change(known, part).filter((stretch) => stretch.from < stretch.to))
    const open = hours.map(({ from: opens, to }): [string, string] => [clockOf(opens), clockOf(to)])
    const at = exceptions.findIndex(({ date }) => date === day)
    if (at >= 0) exceptions.splice(at, 1)
    exceptions.push({ date: day, open })
  }
  return { ...usual, exceptions }
}

/**
 * The same calendar with these hours on one day as well. A day of which something is known already, such as that somebody
 * is away, stays as it is.
 */
export function openedOn(
  calendar: ProblemCalendar,
  date: LocalDay,
  open: readonly (readonly [string, string])[],
): ProblemCalendar {
  if ('always' in calendar || calendar.exceptions?.some((each) => each.date === date)) return calendar
  const known = openOn(calendar, date)
  const hours = mergeIntervals(
    [...known, ...open].map(([from, to]) => ({ from: clockMinutes(from), to: clockMinutes(to) })),
  )
  const all = hours.map(({ from, to }): [string, string] => [clockOf(from), clockOf(to)])
  return { ...calendar, exceptions: [...(calendar.exceptions ?? []), { date, open: all }] }
}

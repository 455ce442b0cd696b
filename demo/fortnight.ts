import type { PlacedOperation } from '@/core/schedule'
import {
  atLocal,
  earlierOf,
  type Instant,
  type LocalDay,
  laterOf,
  minutesBetween,
  plusDays,
} from '@/core/time'
import { isWorkday } from './fern-yard'

/** How full the lofts are in the two weeks ahead, and the morning that could still do with a car. */

const LOFTS = ['loft-1', 'loft-2', 'loft-3']
/** From the first shift to the last. */
const OPEN = ['07:00', '20:00'] as const
const AHEAD_DAYS = 14

export const workdaysAhead = (today: LocalDay): LocalDay[] =>
  Array.from({ length: AHEAD_DAYS }, (_, at) => plusDays(today, at + 1)).filter(isWorkday)

/** Each car in each loft, from when it is driven in until it leaves. */
function stays(placed: readonly PlacedOperation[]): { from: Instant; until: Instant }[] {
  const found = new Map<string, { from: Instant; until: Instant }>()
  for (const { job, place, start, end } of placed) {
    if (!place || !LOFTS.includes(place)) continue
    const key = `${job} ${place}`
    const known = found.get(key)
    found.set(key, {
      from: known ? earlierOf(known.from, start) : start,
      until: known ? laterOf(known.until, end) : end,
    })
  }
  return [...found.values()]
}

/** The share of the lofts’ working hours on a day in which a car stands there, 0 to 1. */
export function fullness(zone: string, placed: readonly PlacedOperation[]): (day: LocalDay) => number {
  const all = stays(placed)
  return (day) => {
    const [opens, closes] = OPEN.map((time) => atLocal(zone, day, time)) as [Instant, Instant]
    const taken = all.map(({ from, until }) =>
      Math.max(0, minutesBetween(laterOf(from, opens), earlierOf(until, closes))),
    )
    return taken.reduce((sum, minutes) => sum + minutes, 0) / LOFTS.length / minutesBetween(opens, closes)
  }
}

/** From here on a day is as busy as a shop likes it: the lofts are kept free for what takes longer, and for who calls. */
const BUSY = 0.8

/** How much of what is wanted of the two weeks ahead is taken: days that are busier than busy count no more. */
export function filled(zone: string, today: LocalDay, placed: readonly PlacedOperation[]): number {
  const full = fullness(zone, placed)
  return workdaysAhead(today).reduce((sum, day) => sum + Math.min(full(day), BUSY), 0)
}

/** So many mornings are tried for a car that may come on any. */
const TRIED = 6

/** The working days of the two weeks ahead on which the lofts stand emptiest. */
export function quietDays(zone: string, today: LocalDay, placed: readonly PlacedOperation[]): LocalDay[] {
  const full = fullness(zone, placed)
  return workdaysAhead(today)
    .map((day) => ({ day, full: full(day) }))
    .sort((a, b) => a.full - b.full)
    .slice(0, TRIED)
    .map(({ day }) => day)
}

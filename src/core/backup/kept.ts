import { daysBetween, type LocalDay, localDayOrThrow, plusDays } from '../time'

/** Which backups are kept: each of the last days, then one a week, then one a month. */

export const KEPT = { days: 7, weeks: 5, months: 12 } as const

const A_MONDAY = localDayOrThrow('1970-01-05')

/** Monday of the week of a day. */
const weekOf = (day: LocalDay): LocalDay => {
  const since = daysBetween(A_MONDAY, day)
  return plusDays(day, -(((since % 7) + 7) % 7))
}
const monthOf = (day: LocalDay): string => day.slice(0, 7)

/** The latest of each period, for the last `most` periods there are backups of. */
function latestOfEach(
  days: readonly LocalDay[],
  periodOf: (day: LocalDay) => string,
  most: number,
): LocalDay[] {
  const latest = new Map<string, LocalDay>()
  for (const day of days) if (!latest.has(periodOf(day))) latest.set(periodOf(day), day)
  return [...latest.values()].slice(0, most)
}

/** The days whose backups are kept, of those there are backups of; the latest first. */
export function keptDays(days: readonly LocalDay[]): LocalDay[] {
  const latest = [...new Set(days)].sort().reverse()
  const kept = new Set([
    ...latest.slice(0, KEPT.days),
    ...latestOfEach(latest, weekOf, KEPT.weeks),
    ...latestOfEach(latest, monthOf, KEPT.months),
  ])
  return latest.filter((day) => kept.has(day))
}

import { TZDate } from '@date-fns/tz'
import type { Brand } from '../brand'
import { daysInMonth, type Instant, instantOf, isOfOurTime } from './instant'

/** A day on the shop's wall calendar, `YYYY-MM-DD`, without a time or a zone. */
export type LocalDay = Brand<string, 'LocalDay'>

export const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'] as const
export type Weekday = (typeof WEEKDAYS)[number]

/** Whether a text is an existing day of our time. */
export function isLocalDay(text: string): text is LocalDay {
  if (!/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(text) || !isOfOurTime(text)) return false
  // Lists read thousands of days: only the last days of a month need a calendar.
  const [year, month, day] = text.split('-').map(Number) as [number, number, number]
  return day <= 28 || day <= daysInMonth(year, month)
}

/** Throws on text that is not an existing day of our time. */
export function localDayOrThrow(text: string): LocalDay {
  if (!isLocalDay(text)) throw new Error(`not a day: ${text}`)
  return text
}

export function dayIn(zone: string, at: Instant): LocalDay {
  const local = new TZDate(Date.parse(at), zone)
  const part = (n: number) => String(n).padStart(2, '0')
  return `${local.getFullYear()}-${part(local.getMonth() + 1)}-${part(local.getDate())}` as LocalDay
}

/** Wall-clock minutes since local midnight. */
export function minuteOfDay(zone: string, at: Instant): number {
  const local = new TZDate(Date.parse(at), zone)
  return local.getHours() * 60 + local.getMinutes()
}

/** The time on the shop’s wall, `HH:MM`, as it is typed and stored. */
export function clockIn(zone: string, at: Instant): string {
  const minute = minuteOfDay(zone, at)
  const part = (value: number) => String(value).padStart(2, '0')
  return `${part(Math.floor(minute / 60))}:${part(minute % 60)}`
}

export const isClock = (text: string) => /^([01]\d|2[0-3]):[0-5]\d$/.test(text)

const DAY_MS = 86_400_000

/** Days later, or earlier. Counted in UTC, where every day has 24 hours: the clocks of the machine have no say. */
export function plusDays(day: LocalDay, days: number): LocalDay {
  return new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10) as LocalDay
}

export function weekdayOf(day: LocalDay): Weekday {
  return WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()]!
}

/** Months later; a day that the month lacks becomes its last. */
export function plusMonths(day: LocalDay, months: number): LocalDay {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, daysInMonth(year, month + months))))
    .toISOString()
    .slice(0, 10) as LocalDay
}

export const firstOfMonth = (day: LocalDay): LocalDay => `${day.slice(0, 7)}-01` as LocalDay

/** Days from one day to another; negative when `to` lies before. */
export function daysBetween(from: LocalDay, to: LocalDay): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS)
}

/** `HH:MM`, with `24:00` for the end of the day. Throws on anything else. */
export function clockMinutes(clock: string): number {
  const match = /^(\d{2}):(\d{2})$/.exec(clock)
  const minutes = match ? Number(match[1]) * 60 + Number(match[2]) : Number.NaN
  if (!match || Number(match[2]) > 59 || minutes > 1440) throw new Error(`not a time of day: ${clock}`)
  return minutes
}

/** A minute of the day as `HH:MM`; 1440 is `24:00`. */
export const clockOf = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`

// Asking Intl for an offset is a hundred times dearer than the rest; calendars ask for the same times again and again.
const MEMO_MAX = 50_000
const memo = new Map<string, Instant>()

/** The instant at which the shop's clock shows `clock` on `day`. A time that spring skips moves on by the gap. */
export function atLocal(zone: string, day: LocalDay, clock: string): Instant {
  const key = `${zone} ${day} ${clock}`
  const known = memo.get(key)
  if (known) return known
  if (memo.size >= MEMO_MAX) memo.clear()
  const computed = computeAtLocal(zone, day, clock)
  memo.set(key, computed)
  return computed
}

function computeAtLocal(zone: string, day: LocalDay, clock: string): Instant {
  const minutes = clockMinutes(clock)
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  const local = new TZDate(year, month - 1, date, Math.floor(minutes / 60), minutes % 60, 0, 0, zone)
  return instantOf(new Date(local.getTime()))
}

export function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name })
    return true
  } catch {
    return false
  }
}

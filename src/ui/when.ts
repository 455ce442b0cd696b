import { dayIn, daysBetween, type Instant, instantOrThrow, type LocalDay } from '@/core/time'

/** Moments in words, on the shop's clock. */

// Making a formatter is a hundred times dearer than using it, and a card names dozens of moments at every tap.
const formatters = new Map<string, Intl.DateTimeFormat>()

function format(zone: string, options: Intl.DateTimeFormatOptions, at: Instant): string {
  const key = `${zone} ${JSON.stringify(options)}`
  const known = formatters.get(key)
  const formatter =
    known ?? new Intl.DateTimeFormat('en-IE', { timeZone: zone, hourCycle: 'h23', ...options })
  if (!known) formatters.set(key, formatter)
  return formatter.format(new Date(at))
}

export function clock(zone: string, at: Instant): string {
  return format(zone, { hour: '2-digit', minute: '2-digit' }, at)
}

/** `Wed 13 Jan` */
export function shortDay(zone: string, at: Instant): string {
  return format(zone, { weekday: 'short', day: 'numeric', month: 'short' }, at).replace(',', '')
}

/** `Wednesday 13 January` */
export function longDay(zone: string, at: Instant): string {
  return format(zone, { weekday: 'long', day: 'numeric', month: 'long' }, at).replace(',', '')
}

/** `14:30` today, `tomorrow 08:00`, else `Fri 15 Jan 08:00`. */
export function moment(zone: string, at: Instant, now: Instant): string {
  const days = daysBetween(dayIn(zone, now), dayIn(zone, at))
  if (days === 0) return clock(zone, at)
  if (days === 1) return `tomorrow ${clock(zone, at)}`
  if (days === -1) return `yesterday ${clock(zone, at)}`
  return `${shortDay(zone, at)} ${clock(zone, at)}`
}

export function dayText(day: LocalDay): string {
  return longDay('UTC', instantOrThrow(`${day}T12:00:00.000Z`))
}

/** `12 Apr 2025`: a day that may lie years back. */
export function yearDay(day: LocalDay): string {
  return format(
    'UTC',
    { day: 'numeric', month: 'short', year: 'numeric' },
    instantOrThrow(`${day}T12:00:00.000Z`),
  )
}

/** `45 min`, `3 h`, `3 h 20`, `2 days`. */
export function duration(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  if (whole >= 2 * 1440) return `${Math.round(whole / 1440)} days`
  const rest = whole % 60
  return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')}`
}

export function money(currency: string, cents: number): string {
  return new Intl.NumberFormat('en-IE', { style: 'currency', currency }).format(cents / 100)
}

/** `Apr 2027`: for what is only known to the month. */
export function monthYear(day: LocalDay): string {
  return format('UTC', { month: 'short', year: 'numeric' }, instantOrThrow(`${day}T12:00:00.000Z`))
}

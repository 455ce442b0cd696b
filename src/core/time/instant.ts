import type { Brand } from '../brand'
import { ok, type Result, refused } from '../result'

/** A moment, as UTC ISO 8601 text to the minute or finer, e.g. `2027-01-11T08:00:00.000Z`. */
export type Instant = Brand<string, 'Instant'>

export type InstantError = { code: 'instant-malformed'; text: string }

const ISO_WITH_ZONE = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})$/

/** Of days before and after these nothing is ever said here; what is counted on from them would leave the calendar (mem). */
const FIRST_DAY = '1900-01-01'
const LAST_DAY = '2199-12-31'

/** Whether a text that begins with a day begins with one of our time. */
export const isOfOurTime = (text: string): boolean => {
  const day = text.slice(0, LAST_DAY.length)
  return day >= FIRST_DAY && day <= LAST_DAY
}

/** Reads an ISO 8601 text that names its offset; refuses a local time, which would be ambiguous, and any other time than ours. */
export function instant(text: string): Result<Instant, InstantError> {
  const millis = ISO_WITH_ZONE.test(text) ? Date.parse(text) : Number.NaN
  if (Number.isNaN(millis) || !isOfOurTime(text) || !dayExists(text))
    return refused({ code: 'instant-malformed', text })
  return ok(new Date(millis).toISOString() as Instant)
}

/** Days of a month, 1 for January; a month past the year counts on into the next. */
export function daysInMonth(year: number, month: number): number {
  return new Date(Date.UTC(year, month, 0)).getUTCDate()
}

/** 30 February parses as 2 March in JavaScript; a calendar of cures must not accept it. */
function dayExists(text: string): boolean {
  const [year, month, day] = text.slice(0, 10).split('-').map(Number) as [number, number, number]
  return day <= daysInMonth(year, month)
}

/** As `instant`, for text the program itself wrote. Throws on anything else. */
export function instantOrThrow(text: string): Instant {
  const read = instant(text)
  if (!read.ok) throw new Error(`not an instant: ${text}`)
  return read.value
}

export function instantOf(date: Date): Instant {
  return date.toISOString() as Instant
}

/** Whole minutes since 1970-01-01T00:00Z; seconds are cut off. */
export function epochMinutes(at: Instant): number {
  return Math.floor(Date.parse(at) / 60_000)
}

export function fromEpochMinutes(minutes: number): Instant {
  return new Date(minutes * 60_000).toISOString() as Instant
}

/** Elapsed minutes: a change of the clocks does not shorten a cure. */
export function plusMinutes(at: Instant, minutes: number): Instant {
  return new Date(Date.parse(at) + minutes * 60_000).toISOString() as Instant
}

export function minutesBetween(from: Instant, to: Instant): number {
  return (Date.parse(to) - Date.parse(from)) / 60_000
}

/** A month as durations count it, days: a twelfth of 365.25. */
export const MONTH_DAYS = 30.4375

/** Elapsed months, with their fraction. */
export function monthsBetween(from: Instant, to: Instant): number {
  return minutesBetween(from, to) / (MONTH_DAYS * 1440)
}

export function earlierOf(a: Instant, b: Instant): Instant {
  return a <= b ? a : b
}

export function laterOf(a: Instant, b: Instant): Instant {
  return a >= b ? a : b
}

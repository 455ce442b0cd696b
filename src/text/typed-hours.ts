import { hoursText, readHours } from '@/core/planning'
import type { Region } from '@/core/region'
import { timeText } from './formats'
import { readTime } from './typed-time'

/** Hours of a day as they are typed and shown on the shop’s clock: `07:00–11:30, 12:00–15:30`, or `7:00 AM–11:30 AM, …`. */

const MIDNIGHT = '24:00'

const clockOf = (region: Region, time: string) => timeText(region, time === MIDNIGHT ? '00:00' : time)

/** Kept hours as the shop writes them; what could not be read as it was typed. */
export function shownHours(region: Region, kept: string): string {
  const read = readHours(kept)
  if (!read.ok) return kept
  if (region.clock === '24-hour') return hoursText(read.hours)
  return read.hours.map(([from, to]) => `${clockOf(region, from)}–${clockOf(region, to)}`).join(', ')
}

/** Hours as they are kept, from whatever way of writing times they were typed in; what is no time stays as it was typed. */
export function keptHours(typed: string): string {
  const stretches = typed
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map(stretchOf)
  return stretches.every((stretch) => stretch !== undefined) ? hoursText(stretches) : typed
}

function stretchOf(typed: string): [string, string] | undefined {
  const [from, to, ...more] = typed.split(/\s*[–—-]\s*|\s+to\s+/i)
  if (from === undefined || to === undefined || more.length > 0) return undefined
  const [begins, ends] = [readTime(from), to === MIDNIGHT ? MIDNIGHT : readTime(to)]
  if (begins === undefined || ends === undefined) return undefined
  // The end of a day is written as the beginning of the next.
  return [begins, ends === '00:00' ? MIDNIGHT : ends]
}

import { type Asked, ask } from '../asks'
import { clockMinutes } from '../time'

/** Hours of a day as a shop writes them: `07:00–11:30, 12:00–15:30`, or nothing for a day off. */

export type OpenHours = [string, string][]

const CLOCK = /^([01]?\d|2[0-3]):([0-5]\d)$|^24:00$/
const twoDigits = (clock: string) => clock.padStart(5, '0')

export function hoursText(hours: readonly (readonly [string, string])[]): string {
  return hours.map(([from, to]) => `${from}–${to}`).join(', ')
}

/** Reads hours as they are typed. The error asks for what to type instead. */
export function readHours(text: string): { ok: true; hours: OpenHours } | { ok: false; error: Asked } {
  const wrong = (error: Asked) => ({ ok: false, error }) as const
  const parts = text
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')
  const hours: OpenHours = []
  for (const part of parts) {
    const clocks = part.split(/\s*[–—-]\s*/)
    const [from, to] = clocks
    if (clocks.length !== 2 || !from || !to || !CLOCK.test(from) || !CLOCK.test(to))
      return wrong(ask('hours-unread', { part }))
    if (clockMinutes(twoDigits(from)) >= clockMinutes(twoDigits(to)))
      return wrong(ask('hours-backwards', { part }))
    hours.push([twoDigits(from), twoDigits(to)])
  }
  hours.sort((a, b) => clockMinutes(a[0]) - clockMinutes(b[0]))
  const overlap = hours.find(([from], at) => at > 0 && clockMinutes(from) < clockMinutes(hours[at - 1]![1]))
  if (overlap) return wrong(ask('hours-overlap', { from: overlap[0], to: overlap[1] }))
  return { ok: true, hours }
}

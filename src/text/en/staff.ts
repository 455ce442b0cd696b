import type { Region } from '@/core/region'
import type { Duty, StaffRole } from '@/core/staff'
import type { Instant } from '@/core/time'
import { number, paperMoment } from '../formats'

/** Who works here and what they may do, in the staff's English. */

export const ROLE_NAME: Record<StaffRole, string> = {
  owner: 'Owner',
  manager: 'Manager',
  counter: 'Counter',
  technician: 'Technician',
  trainee: 'Trainee',
}

export const ROLE_WORDS: Record<StaffRole, string> = {
  owner: 'May do everything, and decides who signs in.',
  manager: 'May do everything but decide who signs in.',
  counter: 'Customers, quotes, bookings, messages and money that comes in. No wages, no prices, no earnings.',
  technician: 'The work at the car and the stock. No prices, no way to reach a customer.',
  trainee: 'As a technician; somebody else confirms what they finish.',
}

type StaffDuty = Exclude<Duty, 'customer' | 'anybody'>

/** What a duty lets one do, as rows of the page that says who may what. */
export const DUTY_WORDS: Record<StaffDuty, string> = {
  team: 'See today’s cars, walk round them, take photographs',
  floor: 'Work at the car: measure, wash, correct, coat, take from the shelf',
  desk: 'Check cars in, quote, book, hand over, take money, write to customers',
  manage: 'Set prices, packages, people and hours; move the calendar; read what was learned and the journal',
  house: 'Decide who signs in, take everything away as one file',
}

const MINUTE_MS = 60_000

/** How long ago somebody was last there, as one says it. */
export function ago(region: Region, then: Instant, now: Instant): string {
  const minutes = Math.floor((Date.parse(now) - Date.parse(then)) / MINUTE_MS)
  if (minutes < 2) return 'just now'
  if (minutes < 60) return `${number(region, minutes)} minutes ago`
  return paperMoment(region, then)
}

/** Families of browsers by what they call themselves, the more particular first. */
const BROWSERS: [RegExp, string][] = [
  [/Firefox\//, 'Firefox'],
  [/Edg\//, 'Edge'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
]
const SYSTEMS: [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Mac OS X/, 'macOS'],
  [/Windows/, 'Windows'],
  [/Linux/, 'Linux'],
]

/** What a browser is, from how it calls itself: enough to know one’s own again. */
export function browserName(agent: string): string {
  const first = (list: [RegExp, string][]) => list.find(([sign]) => sign.test(agent))?.[1]
  const browser = first(BROWSERS) ?? 'a browser'
  const system = first(SYSTEMS)
  return system ? `${browser} on ${system}` : browser
}

/** Who was wrong how often, and from where. */
export function whence(
  region: Region,
  wrong: { name?: string; whence: string; count: number; last: Instant },
  known: {
    devices: readonly { id: string; name: string }[]
    at: Instant
  },
): string {
  const name = wrong.name ?? 'A name nobody has'
  const device = known.devices.find(({ id }) => wrong.whence === `device ${id}`)?.name
  const from = device ?? (wrong.whence === 'here' ? 'this machine' : wrong.whence)
  return `${name}: ${number(region, wrong.count)} times from ${from}, the last ${ago(region, wrong.last, known.at)}`
}

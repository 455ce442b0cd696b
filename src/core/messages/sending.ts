import type { Channel, Language } from '../customer'
import {
  atLocal,
  clockMinutes,
  dayIn,
  type Instant,
  type LocalDay,
  minuteOfDay,
  plusDays,
  weekdayOf,
} from '../time'
import type { Occasion } from './occasion'
import { OCCASION } from './occasion'

/** Hours in which nobody is written to, on the shop’s clock; they may run over midnight. */
export type QuietHours = { from: string; until: string; sundays: boolean }

const isQuietDay = (day: LocalDay, { sundays }: QuietHours) => sundays && weekdayOf(day) === 'sun'

/** The first moment at or after `at` at which one may write. The end of the quiet hours is no longer quiet. */
export function nextLoud(zone: string, at: Instant, quiet: QuietHours): Instant {
  const [from, until] = [clockMinutes(quiet.from), clockMinutes(quiet.until)]
  const day = dayIn(zone, at)
  if (isQuietDay(day, quiet)) return nextLoud(zone, atLocal(zone, plusDays(day, 1), '00:00'), quiet)
  if (from === until) return at
  const minute = minuteOfDay(zone, at)
  const overnight = from > until
  const isQuiet = overnight ? minute >= from || minute < until : minute >= from && minute < until
  if (!isQuiet) return at
  const tomorrow = overnight && minute >= from
  const end = atLocal(zone, tomorrow ? plusDays(day, 1) : day, quiet.until)
  return isQuietDay(dayIn(zone, end), quiet) ? nextLoud(zone, end, quiet) : end
}

/** Whom one writes to, and how they want it. */
export type Addressee = {
  name: string
  email: string
  phone: string
  mayRemind: boolean
  writeBy: Channel
  language: Language
}

export type HeldReason = 'no-consent' | 'no-address'
export type Route = { kind: 'send'; channel: Channel; address: string } | { kind: 'held'; why: HeldReason }

/** By which way a message goes, or why it does not: reminders need consent, everything needs an address. */
export function routeFor(to: Addressee, occasion: Occasion): Route {
  if (OCCASION[occasion].needsConsent && !to.mayRemind) return { kind: 'held', why: 'no-consent' }
  const address: Record<Channel, string> = { email: to.email, text: to.phone }
  const channel = address[to.writeBy] ? to.writeBy : to.email ? 'email' : 'text'
  return address[channel]
    ? { kind: 'send', channel, address: address[channel] }
    : { kind: 'held', why: 'no-address' }
}

const STOP = ['stop', 'unsubscribe', 'arrêt', 'arret', 'désabonner', 'stopp', 'abmelden', 'keine nachrichten']

/** Whether an answer asks not to be written to again. */
export function asksToStop(words: string): boolean {
  const said = words.trim().toLowerCase()
  return STOP.some((word) => said === word || said.startsWith(`${word} `) || said.startsWith(`${word}.`))
}

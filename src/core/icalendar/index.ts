import ICAL from 'ical.js'
import { type Instant, type LocalDay, plusDays } from '../time'

/** Calendars for any calendar program: RFC 5545 text, CRLF lines folded at 75 octets, instants in UTC, days as dates. */

export type CalendarEvent = {
  /** Stable and unique, so that a calendar read again changes the event instead of doubling it. */
  uid: string
  title: string
  text?: string
  where?: string
  /** Whether somebody is taken by it; else it only marks a time. */
  busy?: boolean
  /** Comes back every so many weeks, for that many weeks from the first. */
  repeat?: { everyWeeks: number; weeks: number }
  when: { kind: 'instants'; from: Instant; to: Instant } | { kind: 'days'; first: LocalDay; last: LocalDay }
}

export type Calendar = {
  /** What the calendar is of, in a word: `Cure calendar`. */
  kind: string
  name: string
  issued: Instant
  events: readonly CalendarEvent[]
}

const FOLD_OCTETS = 75

function utc(at: Instant) {
  return ICAL.Time.fromJSDate(new Date(at), true)
}

function component({ uid, title, text, where, busy = false, when, repeat }: CalendarEvent, issued: Instant) {
  const written = new ICAL.Component('vevent')
  const event = new ICAL.Event(written)
  event.uid = uid
  event.summary = title
  if (text) event.description = text
  if (where) event.location = where
  written.updatePropertyWithValue('dtstamp', utc(issued))
  written.updatePropertyWithValue('transp', busy ? 'OPAQUE' : 'TRANSPARENT')
  if (when.kind === 'instants') {
    event.startDate = utc(when.from)
    event.endDate = utc(when.to)
  } else {
    event.startDate = ICAL.Time.fromDateString(when.first)
    // The end of a day is the day after it.
    event.endDate = ICAL.Time.fromDateString(plusDays(when.last, 1))
  }
  if (repeat) {
    const count = Math.floor(repeat.weeks / repeat.everyWeeks)
    const rule = ICAL.Recur.fromData({ freq: 'WEEKLY', interval: repeat.everyWeeks, count })
    written.addPropertyWithValue('rrule', rule)
  }
  return written
}

export function writeCalendar({ kind, name, issued, events }: Calendar): string {
  // The library does not count the blank that begins a continued line; RFC 5545 does.
  ICAL.foldLength = FOLD_OCTETS - 1
  const root = new ICAL.Component('vcalendar')
  root.updatePropertyWithValue('prodid', `-//Fern Yard//${kind}//EN`)
  root.updatePropertyWithValue('version', '2.0')
  root.updatePropertyWithValue('method', 'PUBLISH')
  const shown = new ICAL.Property('x-wr-calname')
  shown.resetType('text') // a property without a registered type would go out unescaped
  shown.setValue(name)
  root.addProperty(shown)
  for (const event of events) root.addSubcomponent(component(event, issued))
  return `${root.toString()}\r\n`
}

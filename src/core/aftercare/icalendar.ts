import ICAL from 'ical.js'
import type { Instant } from '../time'
import { plusDays } from '../time'
import type { Milestone } from './milestones'

/** Who and what a calendar is about; `uid` must be stable and unique for the vehicle's job. */
export type CareCalendar = {
  uid: string
  vehicle: string
  shop: string
  issued: Instant
  milestones: readonly Milestone[]
}

const FOLD_OCTETS = 75

function utc(at: Instant) {
  return ICAL.Time.fromJSDate(new Date(at), true)
}

function eventOf(calendar: CareCalendar, milestone: Milestone) {
  const component = new ICAL.Component('vevent')
  const event = new ICAL.Event(component)
  event.uid = `${calendar.uid}-${milestone.key}`
  event.summary = `${milestone.title}: ${calendar.vehicle}`
  event.description = milestone.advice
  component.updatePropertyWithValue('dtstamp', utc(calendar.issued))
  component.updatePropertyWithValue('transp', 'TRANSPARENT')
  if (milestone.when.kind === 'instant') {
    // A hold is marked at its end, the moment that matters; a point in time has no duration.
    event.startDate = utc(milestone.when.at)
    event.endDate = utc(milestone.when.at)
  } else {
    event.startDate = ICAL.Time.fromDateString(milestone.when.day)
    event.endDate = ICAL.Time.fromDateString(plusDays(milestone.when.until ?? milestone.when.day, 1))
  }
  return component
}

/** The cure calendar as RFC 5545 text: CRLF lines folded at 75 octets, instants in UTC, days as dates. */
export function careIcalendar(calendar: CareCalendar): string {
  // The library does not count the blank that begins a continued line; RFC 5545 does.
  ICAL.foldLength = FOLD_OCTETS - 1
  const root = new ICAL.Component('vcalendar')
  root.updatePropertyWithValue('prodid', '-//Fern Yard//Cure calendar//EN')
  root.updatePropertyWithValue('version', '2.0')
  root.updatePropertyWithValue('method', 'PUBLISH')
  const name = new ICAL.Property('x-wr-calname')
  name.resetType('text') // a property without a registered type would go out unescaped
  name.setValue(`${calendar.shop}: ${calendar.vehicle}`)
  root.addProperty(name)
  for (const milestone of calendar.milestones) root.addSubcomponent(eventOf(calendar, milestone))
  return `${root.toString()}\r\n`
}

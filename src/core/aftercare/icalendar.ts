import { type CalendarEvent, writeCalendar } from '../icalendar'
import type { Instant } from '../time'
import type { Milestone } from './milestones'

/** Who and what a calendar is about; `uid` must be stable and unique for the vehicle's job. */
export type CareCalendar = {
  uid: string
  vehicle: string
  shop: string
  issued: Instant
  milestones: readonly Milestone[]
}

/** A hold is marked at its end, the moment that matters; a point in time has no duration. */
function whenOf({ when }: Milestone): CalendarEvent['when'] {
  return when.kind === 'instant'
    ? { kind: 'instants', from: when.at, to: when.at }
    : { kind: 'days', first: when.day, last: when.until ?? when.day }
}

/** The cure calendar as RFC 5545 text. */
export function careIcalendar({ uid, vehicle, shop, issued, milestones }: CareCalendar): string {
  return writeCalendar({
    kind: 'Cure calendar',
    name: `${shop}: ${vehicle}`,
    issued,
    events: milestones.map((milestone) => ({
      uid: `${uid}-${milestone.key}`,
      title: `${milestone.title}: ${vehicle}`,
      text: milestone.advice,
      when: whenOf(milestone),
    })),
  })
}

import { type CalendarEvent, writeCalendar } from '../icalendar'
import type { Instant } from '../time'
import type { CareDate } from './care-plan'
import type { Milestone } from './milestones'

/** A date with its words, in the language of whoever keeps the calendar. */
export type Worded<Date> = Date & { title: string; text: string }

/** Who and what a calendar is about; `uid` must be stable and unique for the vehicle's job. */
export type CareCalendar = {
  uid: string
  vehicle: string
  shop: string
  issued: Instant
  milestones: readonly Worded<Milestone>[]
  /** The year ahead, where the car has been handed over. */
  dates?: readonly Worded<CareDate>[]
}

/** A habit stands in the calendar for so many weeks ahead (mem); the feed writes it anew. */
const HABIT_WEEKS = 52

/** A hold is marked at its end, the moment that matters; a point in time has no duration. */
function whenOf({ when }: Milestone): CalendarEvent['when'] {
  return when.kind === 'instant'
    ? { kind: 'instants', from: when.at, to: when.at }
    : { kind: 'days', first: when.day, last: when.until ?? when.day }
}

const dateEvent = (uid: string, vehicle: string, date: Worded<CareDate>): CalendarEvent => ({
  uid: `${uid}-${date.key}`,
  title: `${date.title}: ${vehicle}`,
  text: date.text,
  when: { kind: 'days', first: date.first, last: date.last },
  ...(date.everyWeeks ? { repeat: { everyWeeks: date.everyWeeks, weeks: HABIT_WEEKS } } : {}),
})

/** Cure calendar and care plan as RFC 5545 text. */
export function careIcalendar({ uid, vehicle, shop, issued, milestones, dates = [] }: CareCalendar): string {
  return writeCalendar({
    kind: 'Care',
    name: `${shop}: ${vehicle}`,
    issued,
    events: [
      ...milestones.map((milestone) => ({
        uid: `${uid}-${milestone.key}`,
        title: `${milestone.title}: ${vehicle}`,
        text: milestone.text,
        when: whenOf(milestone),
      })),
      ...dates.map((date) => dateEvent(uid, vehicle, date)),
    ],
  })
}

import { closedBetween } from '../schedule'
import type { Instant } from '../time'
import type { ShopCalendar } from './live'

/** Somebody who is away, or a bay that cannot be used, from one instant to another. */
export type Outage = {
  id: string
  what: { kind: 'person' | 'place'; id: string }
  from: Instant
  until: Instant
}

/**
 * The shop as it is while something is out: people who are away are off shift, and bays out of use are held by nobody’s
 * car, since a car must not even stand in them.
 */
export function shopWithout(shop: ShopCalendar, outages: readonly Outage[]): ShopCalendar {
  const calendars = { ...shop.calendars }
  const people = shop.people.map((person) => {
    const own = outages.filter(({ what }) => what.kind === 'person' && what.id === person.id)
    if (own.length === 0) return person
    const name = `${person.calendar} without ${person.id}`
    calendars[name] = own.reduce(
      (calendar, { from, until }) => closedBetween(calendar, shop.timezone, from, until),
      shop.calendars[person.calendar]!,
    )
    return { ...person, calendar: name }
  })
  const closed = outages.filter(({ what }) => what.kind === 'place')
  return {
    ...shop,
    calendars,
    people,
    closures: closed.map(({ id, what, from, until }) => ({ id, place: what.id, from, until })),
  }
}

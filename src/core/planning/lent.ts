import type { PersonId } from '../ids'
import { openedBetween, openSpans, type ProblemCalendar } from '../schedule'
import type { Setup } from '../shop'
import type { Instant } from '../time'

/** Somebody who is lent to the shop: they can do what one of its own can, and are there in the same hours, for some days. */
export type Lent = { id: PersonId; name: string; like: PersonId; from: Instant; until: Instant }

/** The set-up with somebody lent to it; nothing where nobody of the house is who they are like. */
export function withLent(setup: Setup, { id, name, like, from, until }: Lent): Setup | undefined {
  const own = setup.people.find((person) => person.id === like)
  const hours = own && setup.calendars[own.calendar]
  if (!own || !hours) return undefined
  const zone = setup.region.timezone
  const calendar = openSpans(hours, zone, from, until).reduce<ProblemCalendar>(
    (open, span) => openedBetween(open, zone, span.from, span.to),
    { weekly: {} },
  )
  const key = `person-${id}`
  return {
    ...setup,
    people: [...setup.people, { id, name, skills: own.skills, calendar: key }],
    calendars: { ...setup.calendars, [key]: calendar },
  }
}

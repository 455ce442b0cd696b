import type { BayId, PersonId } from '../ids'
import type { LiveJob } from '../job'
import { unreachable } from '../result'
import { closedBetween, type PlacedOperation } from '../schedule'
import { isHandOf } from '../shop'
import { type Instant, laterOf } from '../time'
import type { Closure } from './closures'
import { isCoat } from './damp-air'
import type { ShopCalendar } from './shop-problem'

/** Somebody who is away, a bay that cannot be used, or air too damp to coat, from one instant to another. */
export type Outage = {
  id: string
  what: { kind: 'person'; id: PersonId } | { kind: 'place'; id: BayId } | { kind: 'air' }
  from: Instant
  until: Instant
}

/**
 * The shop as it is while something is out: people who are away are off shift, bays out of use are held by nobody’s
 * car, since a car must not even stand in them, and nothing is coated in damp air.
 */
export function shopWithout(shop: ShopCalendar, outages: readonly Outage[]): ShopCalendar {
  const calendars = { ...shop.calendars }
  const people = shop.people.map((person) => {
    const own = outages.filter(({ what }) => what.kind === 'person' && isHandOf(person.id, what.id))
    if (own.length === 0) return person
    const name = `${person.calendar} without ${person.id}`
    calendars[name] = own.reduce(
      (calendar, { from, until }) => closedBetween(calendar, shop.timezone, from, until),
      shop.calendars[person.calendar]!,
    )
    return { ...person, calendar: name }
  })
  const closures = shop.places.flatMap(({ id }) => closuresOf(id, outages))
  const damp = outages.flatMap(({ what, from, until }) => (what.kind === 'air' ? [{ from, until }] : []))
  return { ...shop, calendars, people, closures, damp }
}

/** When a bay is out of use; stretches that overlap or touch are one. */
function closuresOf(place: BayId, outages: readonly Outage[]): Closure[] {
  const own = outages.filter(({ what }) => what.kind === 'place' && what.id === place)
  const closures: Closure[] = []
  for (const { id, from, until } of own.toSorted((a, b) => (a.from < b.from ? -1 : 1))) {
    const last = closures.at(-1)
    if (last && from <= last.until) last.until = laterOf(last.until, until)
    else closures.push({ id, place, from, until })
  }
  return closures
}

/** Jobs that were to use what is out while it is out, or to be coated in air too damp for it. */
export function touchedBy({ what, from, until }: Outage, jobs: readonly LiveJob[]): ReadonlySet<string> {
  const uses = ({ plan }: LiveJob, { operation, people, place }: PlacedOperation): boolean => {
    switch (what.kind) {
      case 'place':
        return place === what.id
      case 'person':
        return people.some((person) => isHandOf(person, what.id))
      case 'air':
        return plan.operations.some((each) => each.id === operation && isCoat(each))
      default:
        return unreachable(what)
    }
  }
  const meets = (job: LiveJob) =>
    job.published.some((placed) => placed.start < until && from < placed.end && uses(job, placed))
  return new Set(jobs.filter(meets).map(({ id }) => id))
}

import type { BayId, PersonId } from '../ids'
import type { LiveJob } from '../job'
import { isSubcontractor } from '../offer'
import { unreachable } from '../result'
import { closedBetween, openedBetween, type PlacedOperation } from '../schedule'
import { isHandOf } from '../shop'
import { type Instant, laterOf } from '../time'
import type { Closure } from './closures'
import { isCoat } from './damp-air'
import { type EquipmentKind, needs, standsHeld } from './equipment'
import type { ShopCalendar } from './shop-problem'

/**
 * Somebody who is away or is there beyond their shift, a bay or a piece of equipment that cannot be used, air too damp to coat, or no
 * power, from one instant to another.
 */
export type Outage = {
  id: string
  what:
    | { kind: 'person'; id: PersonId }
    | { kind: 'extra'; id: PersonId }
    | { kind: 'place'; id: BayId }
    | { kind: 'equipment'; id: EquipmentKind }
    | { kind: 'air' }
    | { kind: 'power' }
  from: Instant
  until: Instant
}

export type OutageKind = Outage['what']['kind']

/**
 * The shop as it is while something is out: people who are away, or have no power, are off shift, whoever stays longer is there, bays out of use are held by nobody’s
 * car, since a car must not even stand in them, of broken equipment there is one less, and nothing is coated in damp air.
 */
export function shopWithout(shop: ShopCalendar, outages: readonly Outage[]): ShopCalendar {
  const calendars = { ...shop.calendars }
  const people = shop.people.map((person) => {
    const own = outages.filter((outage) => changesHoursOf(outage, person.id))
    if (own.length === 0) return person
    const name = `${person.calendar} as ${person.id}`
    // Whoever is away does not stay longer, whichever was told first.
    const inTurn = [...own].sort((a, b) => Number(b.what.kind === 'extra') - Number(a.what.kind === 'extra'))
    calendars[name] = inTurn.reduce((calendar, { what, from, until }) => {
      const change = what.kind === 'extra' ? openedBetween : closedBetween
      return change(calendar, shop.timezone, from, until)
    }, shop.calendars[person.calendar]!)
    return { ...person, calendar: name }
  })
  const closures = shop.places.flatMap(({ id }) => closuresOf(id, outages))
  const damp = outages.flatMap(({ what, from, until }) => (what.kind === 'air' ? [{ from, until }] : []))
  const broken = outages.flatMap(({ what, from, until }) =>
    what.kind === 'equipment' ? [{ equipment: what.id, from, until }] : [],
  )
  return { ...shop, calendars, people, closures, damp, broken }
}

/** Whether somebody is there less, or longer, because of it. Who works elsewhere has their own power. */
function changesHoursOf({ what }: Outage, person: string): boolean {
  if (what.kind === 'power') return !isSubcontractor(person)
  return (what.kind === 'person' || what.kind === 'extra') && isHandOf(person, what.id)
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
      case 'power':
        return people.some((person) => !isSubcontractor(person))
      case 'extra':
        return false
      case 'equipment':
        // Stands are held from one step to another, whatever is done in between.
        return what.id === 'stands'
          ? standsHeld(plan, new Set(['stands'])).length > 0
          : plan.operations.some((each) => each.id === operation && needs(each).includes(what.id))
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

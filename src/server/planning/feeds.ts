import { type CalendarEvent, writeCalendar } from '@/core/icalendar'
import type { BayId } from '@/core/ids'
import type { Floor } from '@/core/planning'
import { heldJob, personEvents, placeEvents, shopEvents } from '@/core/planning'
import { everyone } from '@/core/shop'
import { feedWords } from '@/text/en/feeds'

/** Calendars that other programs read: of a person, a bay, or the whole shop. Undefined for what is not in the shop. */
export function feed(floor: Floor, kind: string, id: string): string | undefined {
  const { setup } = floor.shop
  const words = feedWords(setup.region)
  const jobs = [...inHandOf(floor), ...heldOf(floor)]
  const write = (whose: string, events: CalendarEvent[]) =>
    writeCalendar({ kind: 'Schedule', name: `${setup.name}: ${whose}`, issued: floor.now, events })
  if (kind === 'shop') return id === 'all' ? write(words.whole, shopEvents(jobs, words)) : undefined
  if (kind === 'bays') {
    const place = setup.places.find((each) => each.id === id)
    return place && write(place.name, placeEvents(jobs, place.id, words))
  }
  const own = kind === 'people' ? eventsOf(floor, id) : undefined
  return own && write(own.name, own.events)
}

const inHandOf = ({ jobs }: Floor) =>
  jobs.flatMap(({ job, live, stage }) =>
    live && stage.kind !== 'handed-over'
      ? [{ live, plate: job.vehicle.plate, vehicle: `${job.vehicle.make} ${job.vehicle.model}` }]
      : [],
  )

function heldOf({ holds, shop }: Floor) {
  const words = feedWords(shop.setup.region)
  return holds.map((hold) => ({
    live: heldJob(hold),
    plate: words.held(hold.name),
    vehicle: [hold.car, hold.packageName].filter(Boolean).join(', '),
  }))
}

/** What somebody has to do here, of the shop or a subcontractor: cars, steps, places and hours, and nothing of whose they are. */
export function eventsOf(floor: Floor, id: string): { name: string; events: CalendarEvent[] } | undefined {
  const { setup } = floor.shop
  const person = everyone(setup).find((each) => each.id === id)
  if (!person) return undefined
  const placeName = (place: BayId) => setup.places.find((each) => each.id === place)?.name ?? place
  const jobs = [...inHandOf(floor), ...heldOf(floor)]
  return {
    name: person.name,
    events: personEvents(jobs, person.id, placeName, feedWords(setup.region), floor.now),
  }
}

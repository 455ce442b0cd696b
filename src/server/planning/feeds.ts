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
  const inHand = floor.jobs.flatMap(({ job, live, stage }) =>
    live && stage.kind !== 'handed-over'
      ? [{ live, plate: job.vehicle.plate, vehicle: `${job.vehicle.make} ${job.vehicle.model}` }]
      : [],
  )
  const held = floor.holds.map((hold) => ({
    live: heldJob(hold),
    plate: words.held(hold.name),
    vehicle: [hold.car, hold.packageName].filter(Boolean).join(', '),
  }))
  const jobs = [...inHand, ...held]
  const write = (whose: string, events: CalendarEvent[]) =>
    writeCalendar({ kind: 'Schedule', name: `${setup.name}: ${whose}`, issued: floor.now, events })
  const placeName = (place: BayId) => setup.places.find((each) => each.id === place)?.name ?? place
  if (kind === 'shop') return id === 'all' ? write(words.whole, shopEvents(jobs, words)) : undefined
  if (kind === 'bays') {
    const place = setup.places.find((each) => each.id === id)
    return place && write(place.name, placeEvents(jobs, place.id, words))
  }
  const person = kind === 'people' ? everyone(setup).find((each) => each.id === id) : undefined
  return person && write(person.name, personEvents(jobs, person.id, placeName, words, floor.now))
}

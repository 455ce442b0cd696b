import type { CalendarEvent } from '../icalendar'
import type { BayId, PersonId } from '../ids'
import type { LiveJob } from '../job'
import { progressAt } from '../job'
import type { StepName } from '../offer'
import { isHandOf } from '../shop'
import type { Instant } from '../time'

/** The calendar of the shop as events for other programs: of one person, one bay, or who comes and goes. */

export type FeedJob = { live: LiveJob; plate: string; vehicle: string }
type Names = (id: BayId) => string

/** What the events are called; `src/text` has the words. */
export type FeedWords = {
  step: (plate: string, name: StepName) => string
  inTheBay: (plate: string) => string
  comesIn: (plate: string) => string
  isPromised: (plate: string) => string
}

/** What one person has before them: each stretch of work an event, as nights lie between. What is done is left out. */
export function personEvents(
  jobs: readonly FeedJob[],
  person: PersonId,
  placeName: Names,
  words: FeedWords,
  now: Instant,
): CalendarEvent[] {
  return jobs.flatMap(({ live, plate, vehicle }) =>
    live.published.flatMap((placed): CalendarEvent[] => {
      const operation = live.plan.operations.find(({ id }) => id === placed.operation)
      if (!operation || !placed.people.some((hand) => isHandOf(hand, person))) return []
      if (progressAt(live, operation, now).kind === 'done') return []
      return placed.segments.map(([from, to], index) => ({
        uid: `${live.id}-${operation.id}-${index + 1}`,
        title: words.step(plate, operation.title),
        text: vehicle,
        where: placeName(placed.place),
        busy: true,
        when: { kind: 'instants', from: from, to: to },
      }))
    }),
  )
}

/** Which car stands in a bay from when to when. */
export function placeEvents(jobs: readonly FeedJob[], place: BayId, words: FeedWords): CalendarEvent[] {
  return jobs.flatMap(({ live, plate, vehicle }) =>
    live.plan.stays.flatMap((stay): CalendarEvent[] => {
      const own = live.published.filter(({ operation }) => stay.operations.includes(operation))
      if (own.length === 0 || own[0]!.place !== place) return []
      const from = own.map(({ start }) => start).reduce((a, b) => (a < b ? a : b))
      const to = own.map(({ end }) => end).reduce((a, b) => (a > b ? a : b))
      return [
        {
          uid: `${live.id}-${stay.id}`,
          title: words.inTheBay(plate),
          text: vehicle,
          busy: true,
          when: { kind: 'instants', from, to },
        },
      ]
    }),
  )
}

/** When cars come in, and for when they are promised. */
export function shopEvents(jobs: readonly FeedJob[], words: FeedWords): CalendarEvent[] {
  return jobs.flatMap(({ live, plate, vehicle }): CalendarEvent[] => {
    const at = (moment: Instant): CalendarEvent['when'] => ({ kind: 'instants', from: moment, to: moment })
    const comes = {
      uid: `${live.id}-comes`,
      title: words.comesIn(plate),
      text: vehicle,
      when: at(live.arrive),
    }
    return live.due
      ? [comes, { uid: `${live.id}-due`, title: words.isPromised(plate), text: vehicle, when: at(live.due) }]
      : [comes]
  })
}

import { epochMinutes } from '../../time'
import { openIntervals } from '../contract/calendar'
import { type Interval, intersectIntervals } from '../contract/intervals'
import type { Problem } from '../contract/problem'
import type { Model } from './model'

/** When people, places and equipment are there, in minutes from the origin. */

export function rangeOf(problem: Problem, originMinute: number): Interval {
  const minutes = [
    ...problem.fixed.map(({ start }) => start),
    ...problem.jobs.map(({ arrive }) => arrive),
  ].map((at) => epochMinutes(at) - originMinute)
  return { from: Math.min(0, ...minutes), to: problem.horizonDays * 1440 }
}

export function openTimeCache(
  problem: Problem,
  originMinute: number,
  range: Interval,
): Pick<Model, 'openOf' | 'openFor'> {
  const byCalendar = new Map(
    Object.entries(problem.calendars).map(([name, calendar]) => [
      name,
      openIntervals(calendar, problem.timezone, originMinute, range),
    ]),
  )
  const cache = new Map<string, readonly Interval[]>()
  const openOf: Model['openOf'] = (person) => byCalendar.get(problem.people[person]!.calendar)!
  // Most work is one person's with nothing that is counted: no word is made for it.
  const alone: (readonly Interval[] | undefined)[] = []
  const openFor: Model['openFor'] = (people, place, equipment = []) => {
    if (people.length !== 1 || equipment.length > 0) return together(people, place, equipment)
    const at = people[0]! * problem.places.length + place
    const open = alone[at] ?? together(people, place, equipment)
    alone[at] = open
    return open
  }
  const together = (people: readonly number[], place: number, equipment: readonly number[]) => {
    const key = `${people.join(',')}@${place}+${equipment.join(',')}`
    const known = cache.get(key)
    if (known) return known
    const calendars = equipment.map((piece) => problem.equipment![piece]!.calendar)
    const open = [...people.map(openOf), ...calendars.map((name) => byCalendar.get(name)!)].reduce<
      readonly Interval[]
    >(intersectIntervals, byCalendar.get(problem.places[place]!.calendar)!)
    cache.set(key, open)
    return open
  }
  return { openOf, openFor }
}

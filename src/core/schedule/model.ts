import { epochMinutes, instantOrThrow } from '../time'
import { openIntervals } from './calendar'
import { type Interval, intersectIntervals } from './intervals'
import type { Problem, ProblemOperation } from './problem'

/** The problem in minutes from its origin and in indexes, as the solver works on it. */

export type Pin = { start: number; people?: number[]; place?: number }

export type ModelOperation = {
  index: number
  id: string
  minutes: number
  mode: ProblemOperation['mode']
  people: number
  skill: string
  /** Indexes of the people who have the skill, those with the fewest other skills first. */
  skilled: number[]
  stay: number
  pin?: Pin
}

export type ModelLink = { from: number; to: number; min: number; max: number }

export type ModelStay = { id: string; kind: string; operations: number[]; places: number[] }

export type ModelJob = {
  index: number
  id: string
  arrive: number
  due?: number
  weight: number
  operations: ModelOperation[]
  links: ModelLink[]
  stays: ModelStay[]
  /** Operation indexes so that links point forward; undefined where links run in a circle. */
  order?: number[]
  pinned: boolean
}

export type Model = {
  problem: Problem
  originMinute: number
  horizon: number
  slot: number
  earliest: number
  personIds: string[]
  placeIds: string[]
  capacity: number[]
  /** Open time common to some people and a place, cached by who and where. */
  openFor: (people: readonly number[], place: number) => readonly Interval[]
  jobs: ModelJob[]
}

function topologicalOrder(count: number, links: readonly ModelLink[]): number[] | undefined {
  const waiting = Array.from({ length: count }, (_, to) => links.filter((link) => link.to === to).length)
  const order: number[] = []
  const taken = new Set<number>()
  while (order.length < count) {
    const next = waiting.findIndex((open, index) => open === 0 && !taken.has(index))
    if (next < 0) return undefined
    taken.add(next)
    order.push(next)
    for (const link of links) if (link.from === next) waiting[link.to]!--
  }
  return order
}

function rangeOf(problem: Problem, originMinute: number): Interval {
  const minutes = [
    ...problem.fixed.map(({ start }) => start),
    ...problem.jobs.map(({ arrive }) => arrive),
  ].map((text) => epochMinutes(instantOrThrow(text)) - originMinute)
  return { from: Math.min(0, ...minutes), to: problem.horizonDays * 1440 }
}

function openTimeCache(problem: Problem, originMinute: number, range: Interval): Model['openFor'] {
  const byCalendar = new Map(
    Object.entries(problem.calendars).map(([name, calendar]) => [
      name,
      openIntervals(calendar, problem.timezone, originMinute, range),
    ]),
  )
  const cache = new Map<string, readonly Interval[]>()
  return (people, place) => {
    const key = `${people.join(',')}@${place}`
    const known = cache.get(key)
    if (known) return known
    const open = people.reduce<readonly Interval[]>(
      (common, person) => intersectIntervals(common, byCalendar.get(problem.people[person]!.calendar)!),
      byCalendar.get(problem.places[place]!.calendar)!,
    )
    cache.set(key, open)
    return open
  }
}

/** Turns a checked problem into the solver's model. */
export function compileModel(problem: Problem): Model {
  const originMinute = epochMinutes(instantOrThrow(problem.origin))
  const minuteOf = (text: string) => epochMinutes(instantOrThrow(text)) - originMinute
  const range = rangeOf(problem, originMinute)
  const personIndex = new Map(problem.people.map((person, index) => [person.id, index]))
  const placeIndex = new Map(problem.places.map((place, index) => [place.id, index]))
  const bySkillCount = problem.people
    .map((_, index) => index)
    .sort((a, b) => {
      return problem.people[a]!.skills.length - problem.people[b]!.skills.length || a - b
    })
  const pins = new Map(
    problem.fixed.map((pin): [string, Pin] => [
      `${pin.job}\u0000${pin.operation}`,
      {
        start: minuteOf(pin.start),
        ...(pin.people ? { people: pin.people.map((person) => personIndex.get(person)!) } : {}),
        ...(pin.place === undefined ? {} : { place: placeIndex.get(pin.place)! }),
      },
    ]),
  )
  const jobs = problem.jobs.map((job, index): ModelJob => {
    const operationIndex = new Map(job.operations.map((operation, at) => [operation.id, at]))
    const links = job.links.map((link) => ({
      from: operationIndex.get(link.from)!,
      to: operationIndex.get(link.to)!,
      min: link.min,
      max: link.max ?? Number.POSITIVE_INFINITY,
    }))
    const operations = job.operations.map((operation, at): ModelOperation => {
      const pin = pins.get(`${job.id}\u0000${operation.id}`)
      const skill = operation.skill ?? ''
      return {
        index: at,
        id: operation.id,
        minutes: operation.minutes,
        mode: operation.mode,
        people: operation.people,
        skill,
        skilled: bySkillCount.filter((person) => problem.people[person]!.skills.includes(skill)),
        stay: job.stays.findIndex((stay) => stay.operations.includes(operation.id)),
        ...(pin ? { pin } : {}),
      }
    })
    const order = topologicalOrder(operations.length, links)
    return {
      index,
      id: job.id,
      arrive: minuteOf(job.arrive),
      ...(job.due === undefined ? {} : { due: minuteOf(job.due) }),
      weight: job.weight,
      operations,
      links,
      stays: job.stays.map((stay) => ({
        id: stay.id,
        kind: stay.kind,
        operations: stay.operations.map((operation) => operationIndex.get(operation)!),
        places: problem.places.flatMap((place, at) => (place.kinds.includes(stay.kind) ? [at] : [])),
      })),
      ...(order ? { order } : {}),
      pinned: operations.some(({ pin }) => pin),
    }
  })
  return {
    problem,
    originMinute,
    horizon: range.to,
    slot: problem.slotMinutes,
    earliest: range.from,
    personIds: problem.people.map((person) => person.id),
    placeIds: problem.places.map((place) => place.id),
    capacity: problem.places.map((place) => place.capacity),
    openFor: openTimeCache(problem, originMinute, range),
    jobs,
  }
}

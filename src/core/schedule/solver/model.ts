import type { BayId, JobId, OperationId, PersonId } from '../../ids'
import { epochMinutes, type Instant } from '../../time'
import type { Interval } from '../contract/intervals'
import type { Problem, ProblemOperation } from '../contract/problem'
import { type Judge, type Judging, judgedBy } from './judged'
import { openTimeCache, rangeOf } from './open-time'
import { endsOf, type ModelLink, reachable, topologicalOrder } from './order'
import { longestChain, placesChosen } from './place-groups'
import { type JobRoom, NO_ROOM, type Room, withRoom } from './room'
import { type Crew, crewCache } from './teams'

export type { ModelLink }

/** The problem in minutes from its origin and in indexes, as the solver works on it. */

export type Pin = { start: number; people?: number[]; place?: number }

/** It raises dust, or something lies open to it. */
export type Air = 'dust' | 'open'

export type ModelOperation = {
  index: number
  id: OperationId
  /** The operation it is spoken of as: itself, or what it is the rest of. */
  known: OperationId
  /** The shortest it can take: with as many hands as may share it. */
  minutes: number
  /** Shared work: minutes of all hands together, and the most hands. */
  shared?: { minutes: number; most: number }
  mode: ProblemOperation['mode']
  people: number
  skill: string
  /** Indexes of the people who have the skill, those with the fewest other skills first. */
  skilled: number[]
  stay: number
  /** Operations of the same job that no chain of links puts before or after this one: they may overlap it. */
  beside: number[]
  /** Of those, the ones it must not overlap. */
  apart: number[]
  /** Kinds of equipment of which it holds a unit each, and who of those beside it needs one of the same. */
  equipment: number[]
  rivals: number[][]
  /** Nobody attends to it and it follows at once: it begins by itself, though what is before it ends early. */
  byItself: boolean
  /** Spans it must not lie in. */
  notDuring: readonly Interval[]
  /** What it does to the air of its place, or fears from it. */
  air?: Air
  /** Fixed by the problem itself to have begun at its origin: it lies as it lies. */
  begun: boolean
  pin?: Pin
  /** What is kept free around it; of what is pinned, nothing. */
  room: Room
  /** Because of the air: no start before this minute, none after that one. */
  dryFrom?: number
  dryUntil?: number
  /** What it judges, where it is a judgement. */
  judges?: Judging
  /** The operation that judges this one. */
  judgedBy?: Judge
  /** The only people who may do it, where a change is to leave it with them. */
  crew?: readonly number[]
  /** No start before this minute, where a change is to leave it no earlier than it was. */
  notBefore?: number
}

/** Places of one calendar and one air: in which of them a stay is held makes no difference to when it can be worked on. */
export type PlaceGroup = readonly number[]

export type ModelStay = {
  id: string
  kind: string
  operations: number[]
  /** Those of them that no other of the stay comes before, and behind which no other comes: all the rest lies between them. */
  heads: number[]
  tails: number[]
  places: number[]
  /** No stay of this kind can be shorter: its longest chain of minutes and lags. */
  minutesAtLeast: number
  /** What a minute of it counts of one in a bay: a car that is away blocks none. */
  holdShare: number
}

/** A unit of equipment from the start of one operation to the end of another. */
export type ModelHold = { from: number; to: number; equipment: number }

/** How long an operation takes with so many hands; with as many as may share it where nobody is named. */
export const minutesWith = (
  { minutes, shared }: Pick<ModelOperation, 'minutes' | 'shared'>,
  people: readonly number[] | undefined,
): number => (shared && people ? Math.ceil(shared.minutes / people.length) : minutes)

export type ModelJob = {
  index: number
  id: JobId
  arrive: number
  due?: number
  weight: number
  operations: ModelOperation[]
  links: ModelLink[]
  stays: ModelStay[]
  holds: ModelHold[]
  /** Operation indexes so that links point forward; undefined where links run in a circle. */
  order?: number[]
  /** Every way to choose a group of places for each stay, stays by index; empty where a stay has none. */
  placeChoices: PlaceGroup[][]
  /** Whether anything of it is fixed. */
  pinned: boolean
}

export type Model = {
  problem: Problem
  originMinute: number
  horizon: number
  slot: number
  earliest: number
  personIds: PersonId[]
  placeIds: BayId[]
  capacity: number[]
  equipment: readonly { capacity: number }[]
  /** The air each place shares with others, by index; none where it has its own. */
  airOf: readonly (number | undefined)[]
  /** Open time common to some people, a place and pieces of equipment, cached by who and where. */
  openFor: (people: readonly number[], place: number, equipment?: readonly number[]) => readonly Interval[]
  /** When a person is on shift. */
  openOf: (person: number) => readonly Interval[]
  /** The teams that may do an operation in a place: the pinned one, or any of the right size with the skill. */
  crewsFor: (operation: ModelOperation, place: number) => readonly Crew[]
  jobs: ModelJob[]
  /** Stretches in which a unit of a place is out of use. */
  closed: readonly (Interval & { place: number })[]
  /** And of a kind of equipment. */
  broken: readonly (Interval & { equipment: number })[]
}

/** The kind of a place that is away. */
const OFFSITE = 'offsite'

function lengthOf({ minutes, split }: ProblemOperation): Pick<ModelOperation, 'minutes' | 'shared'> {
  return split === undefined
    ? { minutes }
    : { minutes: Math.ceil(minutes / split), shared: { minutes, most: split } }
}

/** Turns a checked problem into the solver's model, with so much room round the work of its jobs, where that is asked for. */
export function compileModel(problem: Problem, rooms: readonly JobRoom[] = []): Model {
  const originMinute = epochMinutes(problem.origin)
  const minuteOf = (at: Instant) => epochMinutes(at) - originMinute
  const range = rangeOf(problem, originMinute)
  const personIndex = new Map(problem.people.map((person, index) => [person.id, index]))
  const placeIndex = new Map(problem.places.map((place, index) => [place.id, index]))
  const equipmentIndex = new Map((problem.equipment ?? []).map(({ id }, index) => [id, index]))
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
      behind: 0,
    }))
    const operations = job.operations.map((operation, at): ModelOperation => {
      const pin = pins.get(`${job.id}\u0000${operation.id}`)
      const skill = operation.skill ?? ''
      return {
        index: at,
        id: operation.id,
        known: operation.restOf ?? operation.id,
        ...lengthOf(operation),
        mode: operation.mode,
        people: operation.people,
        skill,
        skilled: bySkillCount.filter((person) => problem.people[person]!.skills.includes(skill)),
        stay: job.stays.findIndex((stay) => stay.operations.includes(operation.id)),
        beside: [],
        apart: [],
        equipment: (operation.equipment ?? []).map((piece) => equipmentIndex.get(piece)!),
        rivals: [],
        byItself:
          operation.mode === 'unattended' && links.some(({ to, min, max }) => to === at && min === max),
        notDuring: (job.notDuring ?? [])
          .filter((span) => span.operation === operation.id)
          .map(({ from, to }) => ({ from: minuteOf(from), to: minuteOf(to) })),
        ...(operation.air ? { air: operation.air } : {}),
        begun: pin !== undefined && pin.start <= 0,
        ...(pin ? { pin } : {}),
        room: NO_ROOM,
        ...(operation.dryAir?.from ? { dryFrom: minuteOf(operation.dryAir.from) } : {}),
        ...(operation.dryAir?.by ? { dryUntil: minuteOf(operation.dryAir.by) } : {}),
        ...(operation.judges ? { judges: judgedBy(job, operation.judges, personIndex) } : {}),
      }
    })
    for (const { index: judge, judges, skilled } of operations)
      for (const judged of judges?.operations ?? [])
        operations[judged]!.judgedBy = { index: judge, skilled, judges: judges! }
    for (const [one, other] of job.apart ?? []) {
      const [a, b] = [operationIndex.get(one)!, operationIndex.get(other)!]
      operations[a]!.apart.push(b)
      operations[b]!.apart.push(a)
    }
    const order = topologicalOrder(operations.length, links)
    if (order) {
      const after = reachable(operations.length, links, order)
      for (const { index: one, beside } of operations)
        for (const { index: other } of operations)
          if (one !== other && !after[one]![other] && !after[other]![one]) beside.push(other)
      for (const operation of operations)
        operation.rivals = operation.equipment.map((piece) =>
          operation.beside.filter((index) => operations[index]!.equipment.includes(piece)),
        )
    }
    const compiled: ModelJob = {
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
        ...endsOf(
          stay.operations.map((operation) => operationIndex.get(operation)!),
          links,
        ),
        places: problem.places.flatMap(({ id, kinds }, at) =>
          kinds.includes(stay.kind) && (job.fits?.includes(id) ?? true) ? [at] : [],
        ),
        minutesAtLeast: 0,
        holdShare: stay.kind === OFFSITE ? (problem.offsiteCost ?? 1) : 1,
      })),
      holds: (job.hold ?? []).map(({ from, to, equipment }) => ({
        from: operationIndex.get(from)!,
        to: operationIndex.get(to)!,
        equipment: equipmentIndex.get(equipment)!,
      })),
      ...(order ? { order } : {}),
      placeChoices: [],
      pinned: operations.some(({ pin }) => pin),
    }
    compiled.placeChoices = placesChosen(problem, compiled)
    if (order) for (const stay of compiled.stays) stay.minutesAtLeast = longestChain(compiled, stay)
    const room = rooms[index]
    return room ? withRoom(compiled, room) : compiled
  })
  const airs = [...new Set(problem.places.flatMap(({ air }) => air ?? []))]
  const { openOf, openFor } = openTimeCache(problem, originMinute, range)
  return {
    problem,
    originMinute,
    horizon: range.to,
    slot: problem.slotMinutes,
    earliest: range.from,
    personIds: problem.people.map((person) => person.id),
    placeIds: problem.places.map((place) => place.id),
    capacity: problem.places.map((place) => place.capacity),
    equipment: (problem.equipment ?? []).map(({ capacity }) => ({ capacity })),
    airOf: problem.places.map(({ air }) => (air === undefined ? undefined : airs.indexOf(air))),
    openOf,
    openFor,
    crewsFor: crewCache(problem, openFor),
    jobs,
    closed: (problem.closed ?? []).map(({ place, from, until }) => ({
      place: placeIndex.get(place)!,
      from: minuteOf(from),
      to: minuteOf(until),
    })),
    broken: (problem.broken ?? []).map(({ equipment, from, until }) => ({
      equipment: equipmentIndex.get(equipment)!,
      from: minuteOf(from),
      to: minuteOf(until),
    })),
  }
}

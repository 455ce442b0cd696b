import type { BayId, JobId, OperationId, PersonId } from '../../ids'
import { fromEpochMinutes, type Instant } from '../../time'
import { firstEndingAfter, firstOverlap, type Interval } from '../contract/intervals'
import type { PlacingReason } from '../contract/reason'
import { type Model, type ModelJob, type ModelOperation, minutesWith } from '../solver/model'
import { spoilsAir } from '../solver/shared-air'
import type { JobPlacement } from '../solver/shop-state'
import { workEnd } from '../solver/work-time'
import type { FirmAir, FirmUses } from './firm'

/** What forbids an operation a start, one rule each, with what there is to say about it. Names are ids of the problem. */
export type Refusal =
  | { code: 'begun' }
  | { code: 'glued'; after: string }
  | { code: 'past'; opens: Instant }
  | { code: 'before-arrival'; arrives: Instant }
  | { code: 'too-soon'; after: string; waitMinutes: number; opens: Instant }
  | { code: 'window-closed'; after: string; waitMinutes: number; opens: Instant; closes: Instant }
  | { code: 'air-too-damp'; opens: Instant }
  | { code: 'air-gets-damp'; closes: Instant }
  | { code: 'wrong-place'; place: BayId; kind: string }
  | { code: 'too-small'; place: BayId }
  | { code: 'stands-elsewhere'; place: BayId }
  | { code: 'lacks-skill'; person: PersonId; skill: string }
  | { code: 'nobody-on-shift'; skill: string; person?: PersonId }
  | { code: 'shift-ends'; closes: Instant; minutes: number; person?: PersonId }
  | { code: 'person-taken'; person: PersonId; job: JobId; operation: OperationId; until: Instant }
  | { code: 'place-taken'; place: BayId; job: JobId; until: Instant }
  | { code: 'place-closed'; place: BayId; until: Instant }
  | { code: 'air-taken'; opens: boolean; job: JobId; operation: OperationId; until: Instant }
  | { code: 'no-follower'; reason: PlacingReason }
  | { code: 'no-room-for-other'; job: JobId; reason: PlacingReason }
  | { code: 'horizon' }

/** What is wished for an operation besides its start: another place, another person. */
export type Wish = { place?: number; person?: number }

/** The starts that arrival, the present and the operations before leave to this one, in minutes; ends included. */
export function startLimits(
  job: ModelJob,
  operation: ModelOperation,
  { operations }: JobPlacement,
): Interval {
  let from = Math.max(0, job.arrive, operation.dryFrom ?? 0)
  let to = operation.dryUntil ?? Number.POSITIVE_INFINITY
  for (const link of job.links) {
    if (link.to !== operation.index) continue
    const { end } = operations[link.from]!
    from = Math.max(from, end + link.min)
    to = Math.min(to, end + link.max)
  }
  return { from, to }
}

/** The first rule by itself that forbids a start, leaving out only what other work could make room for. */
export function refusalAt(
  model: Model,
  firm: FirmUses,
  job: ModelJob,
  operation: ModelOperation,
  placement: JobPlacement,
  start: number,
  wish: Wish,
): Refusal | undefined {
  return (
    refusalByOrder(model, job, operation, placement, start) ??
    refusalByPlace(model, job, operation, placement, wish) ??
    refusalByRoom(model, firm, job, operation, placement, start, wish) ??
    refusalByAir(model, firm, job, operation, placement, start, wish) ??
    refusalByPeople(model, firm, operation, placement, start, wish)
  )
}

function refusalByOrder(
  model: Model,
  job: ModelJob,
  operation: ModelOperation,
  placement: JobPlacement,
  start: number,
): Refusal | undefined {
  const at = (minute: number) => fromEpochMinutes(model.originMinute + minute)
  if (operation.pin) return { code: 'begun' }
  for (const { from, to, min, max } of job.links) {
    if (to !== operation.index) continue
    const { end } = placement.operations[from]!
    const after = job.operations[from]!.known
    if (min === max && start !== end + min) return { code: 'glued', after }
    const opens = at(end + min)
    if (start < end + min) return { code: 'too-soon', after, waitMinutes: min, opens }
    if (start > end + max)
      return { code: 'window-closed', after, waitMinutes: max, opens, closes: at(end + max) }
  }
  const { dryFrom, dryUntil } = operation
  if (dryFrom !== undefined && start < dryFrom) return { code: 'air-too-damp', opens: at(dryFrom) }
  if (dryUntil !== undefined && start > dryUntil) return { code: 'air-gets-damp', closes: at(dryUntil) }
  if (start < 0) return { code: 'past', opens: at(0) }
  if (start < job.arrive) return { code: 'before-arrival', arrives: at(job.arrive) }
  if (start + operation.minutes > model.horizon) return { code: 'horizon' }
  return undefined
}

/** Whether a stay may be where it is wished: a place of its kind, and the one in which its car stands already. */
export function refusalByPlace(
  model: Model,
  job: ModelJob,
  operation: ModelOperation,
  placement: JobPlacement,
  { place }: Wish,
): Refusal | undefined {
  if (place === undefined) return undefined
  const { places, kind } = job.stays[operation.stay]!
  if (!places.includes(place)) {
    const { id, kinds } = model.problem.places[place]!
    return kinds.includes(kind) ? { code: 'too-small', place: id } : { code: 'wrong-place', place: id, kind }
  }
  const stands = standsIn(job, operation, placement)
  if (stands !== undefined && place !== stands)
    return { code: 'stands-elsewhere', place: model.placeIds[stands]! }
  return undefined
}

/** The place that the stay of an operation is in already. */
function standsIn(
  job: ModelJob,
  operation: ModelOperation,
  { operations }: JobPlacement,
): number | undefined {
  const { operations: own } = job.stays[operation.stay]!
  const standing = own.find((index) => job.operations[index]!.pin?.place !== undefined)
  return standing === undefined ? undefined : operations[standing]!.place
}

/** Where an operation could be: where it is wished, else where its car stands, else anywhere for its kind. */
function placesFor(
  job: ModelJob,
  operation: ModelOperation,
  placement: JobPlacement,
  wished: number | undefined,
): readonly number[] {
  const only = wished ?? standsIn(job, operation, placement)
  return only === undefined ? job.stays[operation.stay]!.places : [only]
}

function refusalByRoom(
  model: Model,
  firm: FirmUses,
  job: ModelJob,
  operation: ModelOperation,
  placement: JobPlacement,
  start: number,
  { place }: Wish,
): Refusal | undefined {
  let taken: Refusal | undefined
  for (const candidate of placesFor(job, operation, placement, place)) {
    if (model.capacity[candidate]! > 1) return undefined
    const uses = firm.places[candidate]!.filter((use) => use.job !== job.id)
    const use = firstOverlap(uses, start, start + operation.minutes)
    if (!use) return undefined
    const held = {
      place: model.placeIds[candidate]!,
      until: fromEpochMinutes(model.originMinute + use.to),
    }
    taken ??=
      use.job === undefined
        ? { code: 'place-closed', ...held }
        : { code: 'place-taken', job: use.job, ...held }
  }
  return taken
}

/** Dust, or something that lies open to it, where what is fixed in another car of the same air forbids it. */
function refusalByAir(
  { airOf, originMinute }: Model,
  { air: firm }: FirmUses,
  job: ModelJob,
  operation: ModelOperation,
  placement: JobPlacement,
  start: number,
  { place }: Wish,
): Refusal | undefined {
  if (!operation.air) return undefined
  let taken: FirmAir | undefined
  for (const candidate of placesFor(job, operation, placement, place)) {
    const own = { place: candidate, air: operation.air }
    const against = firm.find(
      (use) =>
        spoilsAir(airOf, own, use) &&
        use.job !== job.id &&
        use.from < start + operation.minutes &&
        start < use.to,
    )
    if (!against) return undefined
    taken ??= against
  }
  if (!taken) return undefined
  const until = fromEpochMinutes(originMinute + taken.to)
  return {
    code: 'air-taken',
    opens: operation.air === 'open',
    job: taken.job,
    operation: taken.operation,
    until,
  }
}

function refusalByPeople(
  model: Model,
  firm: FirmUses,
  operation: ModelOperation,
  placement: JobPlacement,
  start: number,
  wish: Wish,
): Refusal | undefined {
  if (operation.mode === 'unattended') return undefined
  const at = (minute: number) => fromEpochMinutes(model.originMinute + minute)
  const person = wish.person === undefined ? undefined : model.personIds[wish.person]!
  if (person !== undefined && !operation.skilled.includes(wish.person!))
    return { code: 'lacks-skill', person, skill: operation.skill }
  const place = wish.place ?? placement.operations[operation.index]!.place
  const crews = model
    .crewsFor(operation, place)
    .filter(({ people }) => wish.person === undefined || people.includes(wish.person))
  let tooShort: number | undefined
  let taken: Refusal | undefined
  for (const { people, open } of crews) {
    const shift = open[firstEndingAfter(open, start)]
    if (!shift || shift.from > start) continue
    const minutes = minutesWith(operation, people)
    const end = operation.mode === 'solid' ? start + minutes : workEnd(open, start, minutes)
    if (end === undefined) continue
    if (operation.mode === 'solid' && end > shift.to) {
      tooShort = Math.max(tooShort ?? shift.to, shift.to)
      continue
    }
    const busy = people.find((each) => firstOverlap(firm.people[each]!, start, end))
    if (busy === undefined) return undefined
    const use = firstOverlap(firm.people[busy]!, start, end)!
    taken ??= {
      code: 'person-taken',
      person: model.personIds[busy]!,
      job: use.job,
      operation: use.operation,
      until: at(use.to),
    }
  }
  const who = person === undefined ? {} : { person }
  if (taken) return taken
  if (tooShort !== undefined)
    return { code: 'shift-ends', closes: at(tooShort), minutes: operation.minutes, ...who }
  return { code: 'nobody-on-shift', skill: operation.skill, ...who }
}

import { firstEndingAfter } from '../contract/intervals'
import { leastAssignment } from './assignment'
import { completions, type Demand, supplyOf } from './capacity'
import type { Model, ModelJob, ModelOperation, ModelStay } from './model'
import { workEnd } from './work-time'

/**
 * What no schedule can cost less than. Each job ends no earlier than alone in the shop; and taken together, the k-th car
 * to be finished is finished no earlier than the people of any skill, or the places of any kind, could have done the work
 * of k cars. Which car is the k-th is left open: the cheapest assignment of cars to such times is a bound.
 */

/** The soonest one person could have the work done alone, beginning at `from` or later. */
function soonestEnd(
  model: Model,
  operation: ModelOperation,
  person: number,
  places: readonly number[],
  from: number,
): number {
  let soonest = Number.POSITIVE_INFINITY
  const calendars = new Set<string>()
  for (const place of places) {
    const { calendar } = model.problem.places[place]!
    if (calendars.has(calendar)) continue
    calendars.add(calendar)
    const open = model.openFor([person], place)
    if (operation.mode === 'pausable') {
      soonest = Math.min(soonest, workEnd(open, from, operation.minutes) ?? Number.POSITIVE_INFINITY)
      continue
    }
    for (let at = firstEndingAfter(open, from); at < open.length; at++) {
      const start = Math.ceil(Math.max(from, open[at]!.from) / model.slot) * model.slot
      if (start + operation.minutes > open[at]!.to) continue
      soonest = Math.min(soonest, start + operation.minutes)
      break
    }
  }
  return soonest
}

function earliestEnd(model: Model, job: ModelJob, operation: ModelOperation, from: number): number {
  const { pin } = operation
  if (operation.mode === 'unattended') return (pin?.start ?? from) + operation.minutes
  if (pin) return pin.start + operation.minutes
  const { places } = job.stays[operation.stay]!
  // All of the team must be done, so the bound is that of its slowest member when the quickest are chosen.
  const ends = operation.skilled
    .map((person) => soonestEnd(model, operation, person, places, from))
    .sort((a, b) => a - b)
  return ends[operation.people - 1] ?? Number.POSITIVE_INFINITY
}

/** The soonest an operation could begin and end, minutes from the origin. */
type Soonest = { start: number; end: number }

/** The soonest of every operation, or of those of one stay, from a minute on, alone and as if windows did not matter. */
function soonestOf(
  model: Model,
  job: ModelJob,
  since: number,
  only?: ReadonlySet<number>,
): (Soonest | undefined)[] {
  const soonest: (Soonest | undefined)[] = job.operations.map(() => undefined)
  for (const index of job.order!) {
    if (only && !only.has(index)) continue
    let start = Math.max(since, job.operations[index]!.dryFrom ?? since)
    for (const { from, to, min } of job.links) {
      const before = to === index ? soonest[from] : undefined
      if (before) start = Math.max(start, before.end + min)
    }
    soonest[index] = { start, end: earliestEnd(model, job, job.operations[index]!, start) }
  }
  return soonest
}

const lastEnd = (soonest: readonly (Soonest | undefined)[]) =>
  soonest.reduce((last, each) => (each && each.end > last ? each.end : last), 0)

/** Least wall-clock minutes from the end of each operation to the end of the job. */
function tailsOf(job: ModelJob): number[] {
  const tails: number[] = []
  for (const index of job.order!.toReversed()) {
    tails[index] = 0
    for (const link of job.links)
      if (link.from === index)
        tails[index] = Math.max(tails[index]!, link.min + job.operations[link.to]!.minutes + tails[link.to]!)
  }
  return tails
}

/** Beginnings of a stay that are looked at, minutes apart; what lies between is bounded by its neighbour. */
const STAY_STEP_MINUTES = 240

/**
 * No stay of this job can be shorter, whenever it begins: nights and breaks fall into it. An end never moves forward
 * when its beginning moves back, so what begins within a step ends no earlier than what begins at its start.
 */
function shortestStay(model: Model, job: ModelJob, stay: ModelStay): number {
  const own = new Set(stay.operations)
  if (stay.operations.some((index) => job.operations[index]!.pin)) return stay.minutesAtLeast
  let shortest = Number.POSITIVE_INFINITY
  for (let since = Math.max(0, job.arrive); since < model.horizon; since += STAY_STEP_MINUTES) {
    const end = lastEnd(soonestOf(model, job, since, own))
    shortest = Math.min(shortest, end - since - STAY_STEP_MINUTES)
    if (shortest <= stay.minutesAtLeast) break
  }
  return Math.max(stay.minutesAtLeast, Number.isFinite(shortest) ? shortest : 0)
}

/** What is known of a job by itself: when it could be done, what follows each operation, how long its stays are at least. */
type Alone = { job: ModelJob; soonest: Soonest[]; end: number; tails: number[]; stays: number[] }

/** What a job asks of one resource through some of its operations: from when on, how much, and what must follow. */
function demandOf(
  { soonest, tails, end }: Alone,
  operations: readonly { index: number }[],
  work: number,
): Demand {
  if (operations.length === 0) return { release: end, work: 0, tail: 0 }
  return {
    release: Math.max(0, Math.min(...operations.map(({ index }) => soonest[index]!.start))),
    work,
    tail: Math.min(...operations.map(({ index }) => tails[index]!)),
  }
}

/** When so many jobs could be done if nothing counted but the people of one skill. */
function finishTimesOfSkill(model: Model, alone: readonly Alone[], skill: string): number[] {
  const people = [...model.problem.people.keys()].filter((person) =>
    model.problem.people[person]!.skills.includes(skill),
  )
  const demands = alone.map((each) => {
    const own = each.job.operations.filter((operation) => operation.skill === skill && !operation.pin)
    return demandOf(
      each,
      own,
      own.reduce((sum, { minutes, people, shared }) => sum + (shared?.minutes ?? minutes * people), 0),
    )
  })
  return completions(demands, supplyOf(people.flatMap((person) => model.openOf(person))))
}

/** When so many jobs could be done if nothing counted but the places of one kind. */
function finishTimesOfKind(model: Model, alone: readonly Alone[], kind: string): number[] {
  const always = { from: model.earliest, to: model.horizon }
  const places = model.problem.places.filter(({ kinds }) => kinds.includes(kind))
  const demands = alone.map((each) => {
    const own = [...each.job.stays.keys()].filter((stay) => each.job.stays[stay]!.kind === kind)
    const operations = own.flatMap((stay) =>
      each.job.stays[stay]!.operations.map((at) => each.job.operations[at]!),
    )
    // A stay that has begun asks for less than all of it; how much less is not worth knowing here.
    if (operations.some(({ pin }) => pin)) return demandOf(each, [], 0)
    return demandOf(
      each,
      operations,
      own.reduce((sum, stay) => sum + each.stays[stay]!, 0),
    )
  })
  const units = places.flatMap(({ capacity }) => Array.from({ length: capacity }, () => always))
  return completions(demands, supplyOf(units))
}

/** The k-th smallest finish of any schedule is no earlier than the k-th entry. */
function finishTimes(model: Model, alone: readonly Alone[]): number[] {
  const skills = new Set(
    model.jobs.flatMap((job) => job.operations.flatMap(({ skill, people }) => (people > 0 ? [skill] : []))),
  )
  const kinds = new Set(model.jobs.flatMap((job) => job.stays.map(({ kind }) => kind)))
  const relaxations = [
    alone.map(({ end }) => end).sort((a, b) => a - b),
    ...[...skills].map((skill) => finishTimesOfSkill(model, alone, skill)),
    ...[...kinds].map((kind) => finishTimesOfKind(model, alone, kind)),
  ]
  // Where supply runs out there is no schedule at all; a finish at the horizon is bound enough then.
  return model.jobs.map((_, place) =>
    Math.min(model.horizon, Math.max(...relaxations.map((times) => times[place]!))),
  )
}

/** What no schedule can cost less than; of each job by itself, by index, and of the makespan. */
export type Bound = { cost: number; alone: number[]; makespan: number }

/**
 * The least any schedule can cost. Needs a model in which no job has an impossibility. `quick` takes stays to be as short
 * as their work, nights left out: a weaker bound in a tenth of the time.
 */
export function boundOf(model: Model, quick = false): Bound {
  const { objective } = model.problem
  const alone = model.jobs.map((job): Alone => {
    const soonest = soonestOf(model, job, Math.max(0, job.arrive)) as Soonest[]
    return {
      job,
      soonest,
      // What cannot be done before the horizon has no schedule; an end there is bound enough, and finite.
      end: Math.min(model.horizon, lastEnd(soonest)),
      tails: tailsOf(job),
      stays: job.stays.map((stay) => (quick ? stay.minutesAtLeast : shortestStay(model, job, stay))),
    }
  })
  const times = finishTimes(model, alone)
  const priceOf = (job: ModelJob, finish: number) =>
    objective.tardiness * job.weight * (job.due === undefined ? 0 : Math.max(0, finish - job.due)) +
    objective.finish * (finish - job.arrive)
  const holds = alone.map(
    ({ job, stays }) =>
      objective.hold * stays.reduce((total, stay, at) => total + job.stays[at]!.holdShare * stay, 0),
  )
  const costs = alone.map(({ job, end }) => times.map((time) => priceOf(job, Math.max(end, time))))
  const makespan = objective.makespan * Math.max(0, ...times)
  return {
    cost: withoutDust(leastAssignment(costs) + holds.reduce((sum, each) => sum + each, 0) + makespan),
    alone: alone.map(({ job, end }, at) => priceOf(job, end) + holds[at]!),
    makespan,
  }
}

export const lowerBound = (model: Model, quick = false): number => boundOf(model, quick).cost

/** Sums of fractions of minutes: what they are off by must not stand above a cost. */
const withoutDust = (cost: number) => Math.round(cost * 1e6) / 1e6

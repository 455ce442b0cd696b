import { leastAssignment } from './assignment'
import { completions, type Demand, supplyOf } from './capacity'
import { workEnd } from './find-slot'
import { firstEndingAfter } from './intervals'
import type { Model, ModelJob, ModelOperation, ModelStay } from './model'

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

/** The soonest every operation, or those of one stay, could end from a minute on, alone and as if windows did not matter. */
function earliestEnds(model: Model, job: ModelJob, since: number, only?: ReadonlySet<number>): number[] {
  const ends: number[] = []
  for (const index of job.order!) {
    if (only && !only.has(index)) continue
    let from = since
    for (const link of job.links)
      if (link.to === index && ends[link.from] !== undefined)
        from = Math.max(from, ends[link.from]! + link.min)
    ends[index] = earliestEnd(model, job, job.operations[index]!, from)
  }
  return ends
}

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
    let end = 0
    for (const one of earliestEnds(model, job, since, own)) if (one > end) end = one
    shortest = Math.min(shortest, end - since - STAY_STEP_MINUTES)
    if (shortest <= stay.minutesAtLeast) break
  }
  return Math.max(stay.minutesAtLeast, Number.isFinite(shortest) ? shortest : 0)
}

type Alone = { ends: number[]; tails: number[]; stays: number[] }

/** What a job asks of one resource through some of its operations: from when on, how much, and what must follow. */
function demandOf(
  job: ModelJob,
  { ends, tails }: Alone,
  operations: readonly number[],
  work: number,
): Demand {
  if (operations.length === 0) return { release: Math.max(...ends), work: 0, tail: 0 }
  const begins = operations.map((index) => ends[index]! - job.operations[index]!.minutes)
  return {
    release: Math.max(0, Math.min(...begins)),
    work,
    tail: Math.min(...operations.map((index) => tails[index]!)),
  }
}

/** The k-th smallest finish of any schedule is no earlier than the k-th entry. */
function finishTimes(model: Model, alone: readonly Alone[]): number[] {
  const { problem, jobs } = model
  const always = { from: model.earliest, to: model.horizon }
  const relaxations: number[][] = [alone.map(({ ends }) => Math.max(...ends)).sort((a, b) => a - b)]
  const skills = new Set(
    jobs.flatMap((job) => job.operations.map(({ skill }) => skill)).filter((skill) => skill),
  )
  for (const skill of skills) {
    const people = problem.people.flatMap((person, index) => (person.skills.includes(skill) ? [index] : []))
    const supply = supplyOf(people.flatMap((person) => model.openOf(person)))
    const demands = jobs.map((job, index) => {
      const own = job.operations.filter((operation) => operation.skill === skill && !operation.pin)
      const work = own.reduce((sum, { minutes, people }) => sum + minutes * people, 0)
      return demandOf(
        job,
        alone[index]!,
        own.map((operation) => operation.index),
        work,
      )
    })
    relaxations.push(completions(demands, supply))
  }
  for (const kind of new Set(jobs.flatMap((job) => job.stays.map((stay) => stay.kind)))) {
    const units = problem.places.reduce(
      (sum, { kinds, capacity }) => sum + (kinds.includes(kind) ? capacity : 0),
      0,
    )
    const supply = supplyOf(Array.from({ length: units }, () => always))
    const demands = jobs.map((job, index) => {
      const own = job.stays.filter((stay) => stay.kind === kind)
      const operations = own.flatMap((stay) => stay.operations)
      const free = operations.every((operation) => !job.operations[operation]!.pin)
      const work = free
        ? own.reduce((sum, stay) => sum + alone[index]!.stays[job.stays.indexOf(stay)]!, 0)
        : 0
      const asked = demandOf(job, alone[index]!, free ? operations : [], work)
      // A stay ends with its last operation: what follows its first is partly within it.
      return { ...asked, tail: Math.min(asked.tail, ...operations.map((each) => alone[index]!.tails[each]!)) }
    })
    relaxations.push(completions(demands, supply))
  }
  return jobs.map((_, place) => Math.max(...relaxations.map((times) => times[place]!)))
}

/**
 * The least any schedule can cost. Needs a model in which no job has an impossibility. `quick` takes stays to be as short
 * as their work, nights left out: a weaker bound in a tenth of the time.
 */
export function lowerBound(model: Model, quick = false): number {
  const { objective } = model.problem
  const alone = model.jobs.map(
    (job): Alone => ({
      ends: earliestEnds(model, job, Math.max(0, job.arrive)),
      tails: tailsOf(job),
      stays: job.stays.map((stay) => (quick ? stay.minutesAtLeast : shortestStay(model, job, stay))),
    }),
  )
  const times = finishTimes(model, alone)
  const priceOf = (job: ModelJob, finish: number) =>
    objective.tardiness * job.weight * (job.due === undefined ? 0 : Math.max(0, finish - job.due)) +
    objective.finish * (finish - job.arrive)
  const holds = alone.reduce((sum, { stays }) => sum + stays.reduce((total, stay) => total + stay, 0), 0)
  const costs = model.jobs.map((job, index) => {
    const own = Math.max(...alone[index]!.ends)
    return times.map((time) => priceOf(job, Math.max(own, Math.min(time, model.horizon))))
  })
  const makespan = Math.max(0, ...times)
  const least = leastAssignment(costs) + objective.hold * holds + objective.makespan * makespan
  // Sums of fractions of minutes: what they are off by must not stand above a cost.
  return Math.round(least * 1e6) / 1e6
}

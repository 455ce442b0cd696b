import { workEnd } from './find-slot'
import { firstEndingAfter } from './intervals'
import type { Model, ModelJob, ModelOperation } from './model'

/**
 * Lower bounds: each job as if it were alone in the shop and every bay were free. What holds for a job with no
 * competition holds for it with any, so no schedule can cost less.
 */

/** The soonest one person could have the work done alone, beginning at `from` or later. */
function soonestEnd(
  model: Model,
  operation: ModelOperation,
  person: number,
  places: readonly number[],
  from: number,
): number {
  const ends = places.map((place) => {
    const open = model.openFor([person], place)
    if (operation.mode === 'pausable')
      return workEnd(open, from, operation.minutes) ?? Number.POSITIVE_INFINITY
    for (let at = firstEndingAfter(open, from); at < open.length; at++) {
      const start = Math.ceil(Math.max(from, open[at]!.from) / model.slot) * model.slot
      if (start + operation.minutes <= open[at]!.to) return start + operation.minutes
    }
    return Number.POSITIVE_INFINITY
  })
  return Math.min(...ends)
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

function longestChain(job: ModelJob, stay: number): number {
  const inStay = new Set(job.stays[stay]!.operations)
  const reach = new Map<number, number>()
  for (const index of job.order!) {
    if (!inStay.has(index)) continue
    const before = job.links
      .filter((link) => link.to === index && inStay.has(link.from))
      .map((link) => reach.get(link.from)! + link.min)
    reach.set(index, Math.max(0, ...before) + job.operations[index]!.minutes)
  }
  return Math.max(...reach.values())
}

/** The least any schedule can cost. Needs a model in which no job has an impossibility. */
export function lowerBound(model: Model): number {
  const { objective } = model.problem
  let cost = 0
  let makespan = 0
  for (const job of model.jobs) {
    const ends: number[] = []
    for (const index of job.order!) {
      const behind = job.links.filter((link) => link.to === index).map((link) => ends[link.from]! + link.min)
      ends[index] = earliestEnd(model, job, job.operations[index]!, Math.max(0, job.arrive, ...behind))
    }
    const finish = Math.max(...ends)
    const hold = job.stays.reduce((total, _, stay) => total + longestChain(job, stay), 0)
    const late = job.due === undefined ? 0 : Math.max(0, finish - job.due)
    cost +=
      objective.tardiness * job.weight * late +
      objective.hold * hold +
      objective.finish * (finish - job.arrive)
    makespan = Math.max(makespan, finish)
  }
  return cost + objective.makespan * makespan
}

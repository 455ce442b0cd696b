import type { Model, ModelJob, ModelOperation } from '../model'
import type { JobPlacement } from '../shop-state'

/**
 * A problem that is a job shop: every step needs one thing of which there is one, a person or a place, nothing ever closes, and only the end
 * of it all counts. Then a schedule is nothing but whose turn it is at each of those things.
 */
export type JobShop = {
  /** Whole slots of each step, in minutes. */
  minutes: readonly number[]
  /** Which of the things each step needs, by their indexes. */
  machineOf: readonly number[]
  machines: number
  /** No step begins before its job is there, minutes from the origin. */
  release: readonly number[]
  /** What follows what in a job, by indexes of steps, and how long it waits, minutes. */
  links: readonly { from: number; to: number; wait: number }[]
  /** Index of the first step of each job. */
  firstOf: readonly number[]
  placementsOf: (starts: readonly number[]) => JobPlacement[]
}

type Machine = { key: string; people: number[]; place: number }

/** The one thing a step needs; nothing where it needs none or two, or where it matters which. */
function machineOf(model: Model, job: ModelJob, operation: ModelOperation): Machine | undefined {
  const { places, operations } = job.stays[operation.stay]!
  const [place, ...others] = places
  if (place === undefined || others.length > 0) return undefined
  const isRoomy = model.capacity[place]! >= model.jobs.length
  if (operation.mode === 'unattended') {
    const holdsIt = !isRoomy && model.capacity[place] === 1 && operations.length === 1
    return holdsIt ? { key: `place ${place}`, people: [], place } : undefined
  }
  const [person] = operation.skilled
  if (!isRoomy || person === undefined || operation.skilled.length > 1 || operation.people !== 1)
    return undefined
  const isOpen = model.openFor([person], place).some(({ from, to }) => from <= 0 && to >= model.horizon)
  return isOpen ? { key: `person ${person}`, people: [person], place } : undefined
}

const isPlain = (operation: ModelOperation) =>
  !operation.pin &&
  !operation.shared &&
  !operation.judges &&
  !operation.air &&
  !operation.crew &&
  operation.notBefore === undefined &&
  operation.dryFrom === undefined &&
  operation.dryUntil === undefined &&
  operation.apart.length + operation.equipment.length + operation.notDuring.length === 0 &&
  operation.room.before + operation.room.over === 0

const isPlainJob = ({ order, holds, links, operations }: ModelJob) =>
  order !== undefined &&
  holds.length === 0 &&
  links.every(({ min, max, behind }) => min >= 0 && max === Number.POSITIVE_INFINITY && behind === 0) &&
  operations.every(isPlain)

/** The job shop that a problem is; nothing where it is more than that. */
export function jobShopOf(model: Model): JobShop | undefined {
  const { tardiness, hold, finish, makespan } = model.problem.objective
  const isOpen = model.closed.length + model.broken.length === 0
  if (makespan <= 0 || tardiness + hold + finish > 0 || !isOpen || !model.jobs.every(isPlainJob))
    return undefined
  const steps = model.jobs.flatMap((job) =>
    job.operations.map((operation) => ({ job, operation, machine: machineOf(model, job, operation) })),
  )
  const found = steps.flatMap(({ machine }) => machine ?? [])
  if (found.length < steps.length) return undefined
  const keys = [...new Set(found.map(({ key }) => key))]
  const inSlots = (minute: number) => Math.ceil(minute / model.slot) * model.slot
  let next = 0
  const firstOf = model.jobs.map(({ operations }) => {
    next += operations.length
    return next - operations.length
  })
  return {
    minutes: steps.map(({ operation }) => inSlots(operation.minutes)),
    machineOf: found.map(({ key }) => keys.indexOf(key)),
    machines: keys.length,
    release: steps.map(({ job }) => Math.max(0, inSlots(job.arrive))),
    links: model.jobs.flatMap(({ index, links }) =>
      links.map(({ from, to, min }) => ({
        from: firstOf[index]! + from,
        to: firstOf[index]! + to,
        wait: inSlots(min),
      })),
    ),
    firstOf,
    placementsOf: (starts) =>
      model.jobs.map(({ index, operations }) => ({
        job: index,
        operations: operations.map(({ minutes }, at) => {
          const step = firstOf[index]! + at
          const { people, place } = found[step]!
          return { start: starts[step]!, end: starts[step]! + minutes, people, place }
        }),
      })),
  }
}

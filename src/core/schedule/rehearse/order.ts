import type { Interval } from '../contract/intervals'
import type { Model, ModelJob, ModelOperation } from '../solver/model'
import { spoilsAir } from '../solver/shared-air'
import { holdExtent, type JobPlacement, stayExtent } from '../solver/shop-state'

/** What has to be over before each operation of a plan begins, if everybody keeps to the order of the plan. */

/** An operation as it is planned. */
export type Step = {
  job: ModelJob
  operation: ModelOperation
  people: readonly number[]
  place: number
  /** When it can be worked on. */
  open: readonly Interval[]
  planned: Interval
  /** Steps that end before this one begins, by index, and how long it waits for each, minutes. */
  after: { step: number; wait: number }[]
}

/** A unit of something from the first of its steps to the last. */
type Use = Interval & { first: readonly number[]; last: readonly number[] }

/** Whatever has begun when a thing is taken by another has to be over by then; of what lies on top of each other in the plan, neither waits. */
function inTurn(steps: readonly Step[], uses: readonly Use[], capacity: number): void {
  if (capacity >= uses.length) return
  const units: Use[] = []
  for (const use of [...uses].sort((a, b) => a.from - b.from || a.to - b.to)) {
    let free = -1
    for (const [at, unit] of units.entries())
      if (unit.to <= use.from && (free < 0 || unit.to > units[free]!.to)) free = at
    if (free >= 0) {
      for (const first of use.first)
        for (const last of units[free]!.last) steps[first]!.after.push({ step: last, wait: 0 })
      units[free] = use
    } else units.push(use)
  }
}

const one = (step: number, { planned: { from, to } }: Step): Use => ({
  from,
  to,
  first: [step],
  last: [step],
})

/** The steps of a plan in the order in which they are planned to begin, each behind what it follows in its job or on what it shares. */
export function stepsInOrder(model: Model, placements: readonly (JobPlacement | undefined)[]): Step[] {
  const steps: Step[] = []
  for (const placement of placements) {
    if (!placement) continue
    const job = model.jobs[placement.job]!
    for (const [index, { start, end, people, place }] of placement.operations.entries()) {
      const operation = job.operations[index]!
      const open = people.length > 0 ? model.openFor(people, place, operation.equipment) : []
      steps.push({ job, operation, people, place, open, planned: { from: start, to: end }, after: [] })
    }
  }
  steps.sort((a, b) => a.planned.from - b.planned.from || a.planned.to - b.planned.to)
  const at = indexesOf(model, steps)
  const indexOf = (job: ModelJob, operation: number) => at[job.index]![operation]!

  for (const placement of placements) {
    if (!placement) continue
    const job = model.jobs[placement.job]!
    for (const { from, to, min } of job.links)
      steps[indexOf(job, to)]!.after.push({ step: indexOf(job, from), wait: min })
    for (const { index, apart } of job.operations)
      for (const other of apart) {
        const [own, its] = [indexOf(job, index), indexOf(job, other)]
        if (steps[its]!.planned.to <= steps[own]!.planned.from) steps[own]!.after.push({ step: its, wait: 0 })
      }
  }
  const ofPeople: Use[][] = model.personIds.map(() => [])
  for (const [index, step] of steps.entries())
    for (const person of step.people) ofPeople[person]!.push(one(index, step))
  for (const uses of ofPeople) inTurn(steps, uses, 1)
  const ofPlaces = stayUses(model, placements, indexOf)
  for (const [place, capacity] of model.capacity.entries()) inTurn(steps, ofPlaces[place]!, capacity)
  for (const [piece, { capacity }] of model.equipment.entries())
    inTurn(steps, equipmentUses(model, placements, piece, steps, indexOf), capacity)
  throughTheAir(model, steps)
  return steps
}

type IndexOf = (job: ModelJob, operation: number) => number

/** The stays of all cars, by place. */
function stayUses(
  model: Model,
  placements: readonly (JobPlacement | undefined)[],
  indexOf: IndexOf,
): Use[][] {
  const uses: Use[][] = model.capacity.map(() => [])
  for (const placement of placements) {
    if (!placement) continue
    const job = model.jobs[placement.job]!
    for (const [index, { operations, heads, tails }] of job.stays.entries())
      uses[placement.operations[operations[0]!]!.place]!.push({
        ...stayExtent(job, placement, index),
        first: heads.map((operation) => indexOf(job, operation)),
        last: tails.map((operation) => indexOf(job, operation)),
      })
  }
  return uses
}

function equipmentUses(
  model: Model,
  placements: readonly (JobPlacement | undefined)[],
  piece: number,
  steps: readonly Step[],
  indexOf: IndexOf,
): Use[] {
  const worked = steps.flatMap((step, index) =>
    step.operation.equipment.includes(piece) ? [one(index, step)] : [],
  )
  const held = placements.flatMap((placement): Use[] => {
    if (!placement) return []
    const job = model.jobs[placement.job]!
    return job.holds
      .filter(({ equipment }) => equipment === piece)
      .map((hold) => ({
        ...holdExtent(hold, placement),
        first: [indexOf(job, hold.from)],
        last: [indexOf(job, hold.to)],
      }))
  })
  return [...worked, ...held]
}

/** Dust and what lies open to it, of different cars in one air: in the order of the plan. */
function throughTheAir({ airOf }: Model, steps: readonly Step[]): void {
  if (airOf.every((air) => air === undefined)) return
  const breaths = steps.map(({ operation, place }) => ({ place, air: operation.air }))
  for (const [index, step] of steps.entries())
    for (const [other, before] of steps.entries())
      if (
        spoilsAir(airOf, breaths[index]!, breaths[other]!) &&
        step.job !== before.job &&
        before.planned.to <= step.planned.from
      )
        step.after.push({ step: other, wait: 0 })
}

/** The steps on which a job hangs, its own with them, in their order: nothing else can make it late. */
export function upstreamOf(steps: readonly Step[], job: ModelJob): Step[] {
  const wanted = new Set<number>()
  for (let index = steps.length - 1; index >= 0; index--)
    if (steps[index]!.job === job || wanted.has(index)) {
      wanted.add(index)
      for (const { step } of steps[index]!.after) wanted.add(step)
    }
  const kept = [...wanted].sort((a, b) => a - b)
  const at = new Map(kept.map((index, now) => [index, now]))
  return kept.map((index) => ({
    ...steps[index]!,
    after: steps[index]!.after.map(({ step, wait }) => ({ step: at.get(step)!, wait })),
  }))
}

/** Where the steps of each job stand among all of them, by the indexes of job and operation. */
export function indexesOf({ jobs }: Model, steps: readonly Step[]): number[][] {
  const at: number[][] = jobs.map(() => [])
  for (const [index, { job, operation }] of steps.entries()) at[job.index]![operation.index] = index
  return at
}

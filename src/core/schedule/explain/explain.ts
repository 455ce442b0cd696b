import type { JobId, OperationId } from '../../ids'
import { fromEpochMinutes, type Instant } from '../../time'
import type { Problem } from '../contract/problem'
import { impossibilitiesOf } from '../solver/impossible'
import { compileModel, type Model, type ModelJob } from '../solver/model'
import { type Placed, placeJob, type StartCause } from '../solver/place-job'
import { Search } from '../solver/search'
import { ShopState } from '../solver/shop-state'

/** One link of the chain that decides when a job ends: an operation, and why it begins no earlier. */
export type ChainLink = { operation: OperationId; start: Instant; end: Instant } & ChainCause

type ChainCause =
  | { kind: 'begun' }
  | { kind: 'arrival' }
  | { kind: 'after'; other: string; waitMinutes: number }
  | { kind: 'dry-air' }
  | { kind: 'people'; skill: string; from: Instant }
  | { kind: 'place'; places: string; from: Instant }
  | { kind: 'equipment'; equipment: string; from: Instant }
  | { kind: 'air'; opens: boolean; from: Instant }
  | { kind: 'window'; next: string }

/**
 * Why a job cannot end earlier while all other jobs of the problem stay where they are: the operations whose
 * delay is the job's delay, in the order of the work. Undefined where the job cannot be placed at all.
 */
export function explainEarliest(problem: Problem, jobId: JobId): ChainLink[] | undefined {
  const model = compileModel(problem)
  const job = model.jobs.find(({ id }) => id === jobId)
  if (!job || model.jobs.some((each) => impossibilitiesOf(model, each).length > 0)) return undefined
  const shop = new ShopState(model)
  const others = new Search(model, 0).best
  for (const placed of others.placed)
    if (placed && placed.placement.job !== job.index)
      shop.commit(model.jobs[placed.placement.job]!, placed.placement)
  shop.remove(job.index)
  const attempt = placeJob({ model, shop }, job)
  return attempt.ok ? chainOf(model, job, attempt.placed) : undefined
}

function chainOf(model: Model, job: ModelJob, placed: Placed): ChainLink[] {
  const { operations } = placed.placement
  const at = (minute: number) => fromEpochMinutes(model.originMinute + minute)
  const chain: ChainLink[] = []
  let current: number | undefined = operations.reduce(
    (last, each, index) => (each.end > operations[last]!.end ? index : last),
    0,
  )
  while (current !== undefined) {
    const index: number = current
    const own = operations[index]!
    const base = { operation: job.operations[index]!.known, start: at(own.start), end: at(own.end) }
    const { link, before } = causeOf(model, job, index, placed.causes[index]!, at)
    chain.unshift({ ...base, ...link })
    current = before
  }
  return chain
}

/** The words' data of one cause, and the operation the chain goes on with. */
function causeOf(
  model: Model,
  job: ModelJob,
  index: number,
  cause: StartCause,
  at: (minute: number) => Instant,
): { link: ChainCause; before?: number } {
  const behindOf = (inner: StartCause): number | undefined =>
    inner.kind === 'after' ? inner.operation : 'behind' in inner ? behindOf(inner.behind) : undefined
  const before = behindOf(cause)
  const rest = before === undefined ? {} : { before }
  const operation = job.operations[index]!
  switch (cause.kind) {
    case 'after':
      return {
        link: {
          kind: 'after',
          other: job.operations[cause.operation]!.known,
          waitMinutes: cause.waitMinutes,
        },
        ...rest,
      }
    case 'dry-air':
      return { link: { kind: 'dry-air' } }
    case 'people':
      return { link: { kind: 'people', skill: operation.skill, from: at(cause.from) }, ...rest }
    case 'place':
      return {
        link: { kind: 'place', places: job.stays[operation.stay]!.kind, from: at(cause.from) },
        ...rest,
      }
    case 'equipment': {
      const equipment = model.problem.equipment![cause.equipment]!.id
      return { link: { kind: 'equipment', equipment, from: at(cause.from) }, ...rest }
    }
    case 'air':
      return { link: { kind: 'air', opens: operation.air === 'open', from: at(cause.from) }, ...rest }
    case 'window':
      return { link: { kind: 'window', next: job.operations[cause.next]!.known }, ...rest }
    case 'pinned':
      return { link: { kind: 'begun' } }
    default:
      return { link: { kind: 'arrival' } }
  }
}

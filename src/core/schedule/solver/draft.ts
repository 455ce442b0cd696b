import type { PlacedOperation } from '../contract/schedule-file'
import { costOf, jobCost, totalTerms } from './cost'
import type { SlotContext } from './find-slot'
import { insertJob } from './insert-job'
import type { Model, ModelJob } from './model'
import type { Placed, PlaceFailure } from './place-job'
import { readPlacements } from './placements'
import { type JobPlacement, type OperationPlacement, ShopState } from './shop-state'

/** A minute less of finishing decides between schedules of one cost, such as those of one makespan. */
const TIE_PER_MINUTE = 1e-4

export const endOf = ({ placement }: Placed) =>
  placement.operations.reduce((end, each) => Math.max(end, each.end), 0)
export const startOf = ({ placement }: Placed) =>
  placement.operations.reduce((start, each) => Math.min(start, each.start), Number.POSITIVE_INFINITY)

/** What is not to move without need: each step elsewhere than here costs so much, beside what the schedule itself costs. */
export type Churn = { against: readonly PlacedOperation[]; perStep: number }
const NO_CHURN: Churn = { against: [], perStep: 0 }

function samePlacement(a: OperationPlacement, b: OperationPlacement): boolean {
  return (
    a.start === b.start && a.place === b.place && a.people.toSorted().join() === b.people.toSorted().join()
  )
}

/** The jobs placed so far, what they cost, and why the others are not placed. Mutable, owned by one run of the solver. */
export class Draft {
  private readonly known: readonly (JobPlacement | undefined)[]
  readonly placed: (Placed | undefined)[]
  readonly failures = new Map<number, PlaceFailure>()
  readonly shop: ShopState
  private readonly costs: number[]
  readonly missing: number
  /** Those of which not everything is fixed: taking the others off would only put them back. All of them where none is loose. */
  readonly looseJobs: readonly ModelJob[]

  constructor(
    readonly model: Model,
    private readonly churn: Churn = NO_CHURN,
  ) {
    this.known = churn.perStep > 0 ? readPlacements(model, churn.against) : []
    this.shop = new ShopState(model)
    this.placed = model.jobs.map(() => undefined)
    this.costs = model.jobs.map(() => 0)
    const loose = model.jobs.filter(({ operations }) => operations.some(({ pin }) => !pin))
    this.looseJobs = loose.length > 0 ? loose : model.jobs
    const { tardiness, hold, finish, makespan } = model.problem.objective
    const weight = model.jobs.reduce((most, job) => Math.max(most, job.weight), 1)
    // One job that is not placed weighs more than all others at their worst.
    this.missing =
      (1 + model.jobs.length) * model.horizon * (1 + tardiness * weight + 4 * hold + finish + makespan)
  }

  insert(job: ModelJob, trying: Pick<SlotContext, 'random' | 'blinkPercent' | 'delays'> = {}): void {
    this.shop.remove(job.index)
    const context: SlotContext = { model: this.model, shop: this.shop, ...trying }
    const attempt = insertJob(context, job, this.makespan())
    if (attempt.ok) this.put(job, attempt.placed)
    else {
      this.placed[job.index] = undefined
      this.failures.set(job.index, attempt.failure)
      this.shop.reserve(job)
    }
  }

  put(job: ModelJob, placed: Placed): void {
    this.placed[job.index] = placed
    this.costs[job.index] =
      jobCost(this.model, job, placed.placement, Number.POSITIVE_INFINITY) + this.churnOf(placed.placement)
    this.failures.delete(job.index)
    this.shop.commit(job, placed.placement)
  }

  /** What it costs that steps of a job are elsewhere than everybody was told. */
  private churnOf({ job, operations }: JobPlacement): number {
    const known = this.known[job]
    if (!known) return 0
    const moved = operations.filter((placed, index) => !samePlacement(placed, known.operations[index]!))
    return this.churn.perStep * moved.length
  }

  /** What all that was moved costs together. */
  churned(): number {
    return this.placed.reduce((sum, placed) => sum + (placed ? this.churnOf(placed.placement) : 0), 0)
  }

  takeOff(job: ModelJob): void {
    this.shop.remove(job.index)
    this.shop.reserve(job)
    this.placed[job.index] = undefined
  }

  /** What a job adds to the energy, churn with it, but for the makespan. */
  priceOf(job: ModelJob): number {
    const placed = this.placed[job.index]
    return placed ? this.costs[job.index]! + TIE_PER_MINUTE * endOf(placed) : this.missing
  }

  /** What the search makes less of: the cost, and first of all the jobs without a place. */
  energy(): number {
    let energy = this.model.problem.objective.makespan * this.makespan()
    for (const job of this.model.jobs) energy += this.priceOf(job)
    return energy
  }

  /** The cost of what is placed, as the schedule states it. */
  cost(): number {
    const placements = this.placed.flatMap((placed) => (placed ? [placed.placement] : []))
    return costOf(this.model, totalTerms(this.model, placements))
  }

  private makespan(): number {
    if (this.model.problem.objective.makespan === 0) return 0
    return this.placed.reduce((end, placed) => (placed ? Math.max(end, endOf(placed)) : end), 0)
  }
}

import type { PlacedOperation } from '../contract/schedule-file'
import { type Churn, Draft } from './draft'
import type { Model, ModelJob } from './model'
import { chooseJobs, freedom, shuffled } from './neighbourhood'
import type { Placed, PlaceFailure } from './place-job'
import { readPlacements } from './placements'
import { type Random, seededRandom } from './random'
import type { JobRoom } from './room'
import type { JobPlacement } from './shop-state'

/**
 * Large-neighbourhood search: some jobs that lie close together in time are taken off the calendar and placed again, one
 * by one, in another order; what comes of it is kept if it is cheaper, and now and then while the search is warm even
 * if it is not (simulated annealing; Schrimpf et al. 2000, “Record breaking optimization results using the ruin and
 * recreate principle”).
 */

export type SearchOptions = {
  /** Whether nothing is to be proved of the schedule: quicker where only the places are asked for. */
  unproven?: boolean
  seed: number
  /** Room to keep round the work of each job, by index; none where nothing is said. */
  rooms?: readonly JobRoom[]
  /** Improvement attempts at most. */
  steps: number
  /** Asked between attempts; the edge watches the clock here. */
  shouldStop?: () => boolean
  /**
   * A schedule of the same problem that breaks no rule, such as the published one, or a part of one: the jobs that are not wholly on it are
   * placed beside the others. Where it is better than the first that is placed, the search begins with it, so that what comes of it is never worse.
   */
  standing?: readonly PlacedOperation[]
  /** The price of moving what everybody was told; it decides the search and is no part of the stated cost. */
  churn?: Churn
  /** Told of the first schedule and of every better one. */
  onBetter?: (progress: SearchProgress) => void
}

export type SearchProgress = { steps: number; cost: number; unplaced: number }

/** Rounds of starting over with the jobs first that found no room. */
const PROMOTIONS_MAX = 12

// The figures below were tried out on the busy shops of the benchmark and on small problems with known optima.

/** How often, of a hundred, a free slot or crew is left for somebody else, so that repeated attempts differ. */
const BLINK_PERCENT = 1
/** The same in wilder attempts: they find what is not the soonest for any single job. */
const WILD_BLINK_PERCENT = 20
/**
 * A small shop can be searched boldly: this many divided by its jobs is the share of wild attempts, and how warm a round
 * begins, as a share of what one job costs on average; each within its limits.
 */
const BOLD_JOBS = 4
const WILD_SHARE_MAX = 0.5
const WARM_MIN = 0.1
const WARM_MAX = 1
/** Attempts of the first round of cooling; each later round is twice as long, so that any moment is soon a cool one. */
const FIRST_ROUND = 400
/** Warmth at the end of a round. */
const COOL = 0.01

/** Those who can move least first; then by due date, heavier before lighter. */
function byUrgency(a: ModelJob, b: ModelJob): number {
  const due = (job: ModelJob) => job.due ?? Number.POSITIVE_INFINITY
  if (freedom(a) !== freedom(b)) return freedom(a) - freedom(b)
  if (due(a) !== due(b)) return due(a) - due(b)
  return b.weight - a.weight || a.arrive - b.arrive || a.index - b.index
}

/** Places all jobs in order; where some find no room, starts over with those first. */
function construct(model: Model, churn: Churn | undefined, onBuilt: (draft: Draft) => void): Draft {
  let order = [...model.jobs].sort(byUrgency)
  let best: Draft | undefined
  for (let round = 0; round <= PROMOTIONS_MAX; round++) {
    const run = new Draft(model, churn)
    for (const job of order) run.insert(job)
    if (!best || run.failures.size < best.failures.size) {
      best = run
      onBuilt(run)
    }
    if (run.failures.size === 0) break
    const failed = order.filter((job) => run.failures.has(job.index))
    const promoted = [...failed, ...order.filter((job) => !failed.includes(job))]
    if (promoted.every((job, at) => job === order[at])) break
    order = promoted
  }
  return best!
}

const boldnessOf = (model: Model) => BOLD_JOBS / model.jobs.length

/** The schedule that stands, with the jobs that are not on it placed where they find room. */
function standingDraft(
  model: Model,
  placed: readonly PlacedOperation[],
  churn: Churn | undefined,
): Draft | undefined {
  const placements = readPlacements(model, placed)
  if (placements.every((placement) => !placement)) return undefined
  const draft = new Draft(model, churn)
  // What is fixed of those without a place is kept free for them.
  for (const job of model.jobs) draft.takeOff(job)
  for (const job of model.jobs) {
    const placement = placements[job.index]
    if (placement) draft.put(job, { placement, berths: [], causes: [] })
  }
  for (const job of [...model.jobs].sort(byUrgency)) if (!draft.placed[job.index]) draft.insert(job)
  return draft
}

/** What is on the calendar stays, and the other jobs are placed beside it; where nothing is, all are placed in their order. */
export const draftFrom = (model: Model, placed: readonly PlacedOperation[]): Draft =>
  standingDraft(model, placed, undefined) ?? construct(model, undefined, () => {})

/** Which round of cooling an attempt is in, and how far from its end, between 1 and 0. */
export function roundAt(step: number, first = FIRST_ROUND): { round: number; left: number } {
  let start = 0
  let length = first
  let round = 0
  for (; step >= start + length; round++) {
    start += length
    length *= 2
  }
  return { round, left: 1 - (step - start) / length }
}

/**
 * A search that can be left and taken up again: every step is one attempt, and `best` is always a whole schedule. Jobs that
 * do not fit stay without a place, with their reason; the others are still placed.
 */
export class Search {
  best: Snapshot
  steps = 0
  private readonly draft: Draft
  private readonly random: Random
  private energy: number
  private readonly boldWarm: number

  /** Places every job, the most urgent first. `bound` is what no schedule can cost less than. */
  constructor(
    private readonly model: Model,
    seed: number,
    private bound = Number.NEGATIVE_INFINITY,
    private readonly onBetter?: (progress: SearchProgress) => void,
    { standing = [], churn }: Pick<SearchOptions, 'standing' | 'churn'> = {},
  ) {
    this.random = seededRandom(seed)
    this.boldWarm = Math.min(WARM_MAX, Math.max(WARM_MIN, boldnessOf(model)))
    const placed = construct(model, churn, (draft) => this.report(draft))
    const known = standingDraft(model, standing, churn)
    this.draft = known && known.energy() <= placed.energy() ? known : placed
    if (this.draft === known) this.report(known)
    this.energy = this.draft.energy()
    this.best = snapshot(this.draft, this.energy)
  }

  /** Whether nothing better is left to find: the bound is reached, or there is nothing to move. */
  get done(): boolean {
    const { failures, cost } = this.best
    return this.model.jobs.length === 0 || (failures.size === 0 && cost <= this.bound)
  }

  /** More is known of what no schedule can cost less than. */
  raiseBound(bound: number): void {
    this.bound = Math.max(this.bound, bound)
  }

  /** Goes on from a whole schedule that was found another way, where it is better than the best. */
  adopt(placements: readonly JobPlacement[]): void {
    const { draft, model } = this
    for (const job of model.jobs) draft.takeOff(job)
    for (const placement of placements)
      draft.put(model.jobs[placement.job]!, { placement, berths: [], causes: [] })
    const energy = draft.energy()
    if (energy >= this.best.energy) {
      restore(draft, this.best)
      return
    }
    this.energy = energy
    this.best = snapshot(draft, energy)
    this.report(draft)
  }

  step(): void {
    const { draft, random, model } = this
    const { round, left } = roundAt(this.steps++)
    if (left === 1 && this.energy > this.best.energy) {
      restore(draft, this.best)
      this.energy = this.best.energy
    }
    const touched = chooseJobs(draft, random)
    const before = touched.map((job) => draft.placed[job.index])
    const failures = new Map(draft.failures)
    // Bold rounds and careful ones take turns: some shops yield to the one, some to the other.
    const warm = round % 2 === 0 ? this.boldWarm : WARM_MIN
    const temperature = (this.best.energy / model.jobs.length) * COOL * (warm / COOL) ** left
    const limit = this.energy - temperature * Math.log(1 - random())
    for (const job of touched) draft.takeOff(job)
    const next = layAgain(draft, shuffled(touched, random), limit, random)
    if (next >= limit) {
      undo(draft, touched, before, failures)
      return
    }
    this.energy = next
    if (next >= this.best.energy) return
    this.best = snapshot(draft, next)
    this.report(draft)
  }

  private report(draft: Draft): void {
    this.onBetter?.({ steps: this.steps, cost: draft.cost(), unplaced: draft.failures.size })
  }
}

/** Places jobs one by one, and gives up where those placed so far already cost more than `limit`. The energy thereafter. */
function layAgain(draft: Draft, jobs: readonly ModelJob[], limit: number, random: Random): number {
  let energy = draft.energy() - jobs.length * draft.missing
  const wild = random() < Math.min(WILD_SHARE_MAX, boldnessOf(draft.model))
  const blinkPercent = wild ? WILD_BLINK_PERCENT : BLINK_PERCENT
  for (const job of jobs) {
    draft.insert(job, { random, blinkPercent, delays: wild })
    energy += draft.priceOf(job)
    if (energy >= limit) return energy
  }
  return draft.energy()
}

/** One whole schedule: what is placed by job, and of the other jobs the last thing that stood in their way. */
export type Snapshot = {
  placed: (Placed | undefined)[]
  failures: Map<number, PlaceFailure>
  energy: number
  cost: number
}

function snapshot(draft: Draft, energy: number): Snapshot {
  return { placed: [...draft.placed], failures: new Map(draft.failures), energy, cost: draft.cost() }
}

function undo(
  draft: Draft,
  touched: readonly ModelJob[],
  before: readonly (Placed | undefined)[],
  failures: ReadonlyMap<number, PlaceFailure>,
): void {
  for (const job of touched) draft.takeOff(job)
  for (const [at, job] of touched.entries()) if (before[at]) draft.put(job, before[at])
  draft.failures.clear()
  for (const [job, failure] of failures) draft.failures.set(job, failure)
}

function restore(draft: Draft, { placed, failures }: Snapshot): void {
  undo(draft, draft.model.jobs, placed, failures)
}

import { costOf, totalTerms } from './cost'
import { insertJob } from './insert-job'
import type { Model, ModelJob } from './model'
import type { PlacedJob, PlaceFailure } from './place-job'
import { seededRandom } from './random'
import { ShopState } from './shop-state'

/** Most jobs taken off the calendar at once when looking for something better. */
const REMOVE_MAX = 4

export type SearchOptions = {
  seed: number
  /** Improvement attempts at most. */
  steps: number
  /** Asked before each attempt; the edge watches the clock here. */
  shouldStop?: () => boolean
}

export type SearchResult = {
  placed: (PlacedJob | undefined)[]
  /** Jobs that found no place, with the last thing that stood in their way. */
  failures: Map<number, PlaceFailure>
  steps: number
}

/** Rounds of starting over with the jobs first that found no room. */
const PROMOTIONS_MAX = 12

/** 0 for a job that holds a place it cannot leave, 1 for any other with something fixed, 2 for one free to move. */
function freedom(job: ModelJob): number {
  if (!job.pinned) return 2
  const isPinned = (index: number) => job.operations[index]!.pin !== undefined
  const halfWay = job.stays.some((stay) => stay.operations.some(isPinned) && !stay.operations.every(isPinned))
  return halfWay ? 0 : 1
}

/** Those who can move least first; then by due date, heavier before lighter. */
function byUrgency(a: ModelJob, b: ModelJob): number {
  const due = (job: ModelJob) => job.due ?? Number.POSITIVE_INFINITY
  if (freedom(a) !== freedom(b)) return freedom(a) - freedom(b)
  if (due(a) !== due(b)) return due(a) - due(b)
  return b.weight - a.weight || a.arrive - b.arrive || a.index - b.index
}

class Search {
  readonly placed: (PlacedJob | undefined)[]
  readonly failures = new Map<number, PlaceFailure>()
  readonly shop: ShopState

  constructor(private readonly model: Model) {
    this.shop = new ShopState(model)
    this.placed = model.jobs.map(() => undefined)
  }

  insert(job: ModelJob): void {
    this.shop.remove(job.index)
    const attempt = insertJob(this.model, this.shop, job, this.makespan())
    if (attempt.ok) {
      this.placed[job.index] = attempt.placed
      this.failures.delete(job.index)
      this.shop.commit(job, attempt.placed.placement)
    } else {
      this.placed[job.index] = undefined
      this.failures.set(job.index, attempt.failure)
      this.shop.reserve(job)
    }
  }

  takeOff(job: ModelJob): void {
    this.shop.remove(job.index)
    this.shop.reserve(job)
    this.placed[job.index] = undefined
  }

  restore(
    before: readonly (PlacedJob | undefined)[],
    failures: ReadonlyMap<number, PlaceFailure>,
    touched: ModelJob[],
  ): void {
    for (const job of touched) this.takeOff(job)
    for (const job of touched) {
      const placed = before[job.index]
      this.placed[job.index] = placed
      if (placed) this.shop.commit(job, placed.placement)
    }
    this.failures.clear()
    for (const [job, failure] of failures) this.failures.set(job, failure)
  }

  /** Unplaced jobs weigh more than any cost. */
  score(): { unplaced: number; cost: number } {
    const placements = this.placed.flatMap((placed) => (placed ? [placed.placement] : []))
    return {
      unplaced: this.placed.length - placements.length,
      cost: costOf(this.model, totalTerms(this.model, placements)),
    }
  }

  private makespan(): number {
    return Math.max(
      0,
      ...this.placed.flatMap((placed) => placed?.placement.operations.map(({ end }) => end) ?? []),
    )
  }
}

/** Lays all jobs in order; where some find no room, starts over with those first. */
function construct(model: Model): Search {
  let order = [...model.jobs].sort(byUrgency)
  let best: Search | undefined
  for (let round = 0; round <= PROMOTIONS_MAX; round++) {
    const run = new Search(model)
    for (const job of order) run.insert(job)
    if (!best || run.failures.size < best.failures.size) best = run
    if (run.failures.size === 0) break
    const failed = order.filter((job) => run.failures.has(job.index))
    const promoted = [...failed, ...order.filter((job) => !failed.includes(job))]
    if (promoted.every((job, at) => job === order[at])) break
    order = promoted
  }
  return best!
}

/**
 * Lays every job, the most urgent first, then takes a few off again at random and lays them anew, keeping what is
 * no worse, until `bound` proves there is nothing better. Jobs that do not fit stay unplaced with their reason; the others are still placed.
 */
export function search(model: Model, options: SearchOptions, bound = Number.NEGATIVE_INFINITY): SearchResult {
  const run = construct(model)
  const random = seededRandom(options.seed)
  let steps = 0
  let current = run.score()
  const movable = model.jobs.filter((job) => model.jobs.length > 1 || !job.pinned)
  const proved = () => current.unplaced === 0 && current.cost <= bound
  while (steps < options.steps && movable.length > 1 && !proved() && !options.shouldStop?.()) {
    steps++
    const touched = pick(movable, 1 + Math.floor(random() * Math.min(REMOVE_MAX, movable.length)), random)
    for (const job of run.failures.keys())
      if (!touched.some((other) => other.index === job)) touched.push(model.jobs[job]!)
    const before = [...run.placed]
    const failures = new Map(run.failures)
    for (const job of touched) run.takeOff(job)
    for (const job of touched) run.insert(job)
    const next = run.score()
    const noWorse =
      next.unplaced < current.unplaced || (next.unplaced === current.unplaced && next.cost <= current.cost)
    if (noWorse) current = next
    else run.restore(before, failures, touched)
  }
  return { placed: run.placed, failures: run.failures, steps }
}

function pick(jobs: readonly ModelJob[], count: number, random: () => number): ModelJob[] {
  const pool = [...jobs]
  const picked: ModelJob[] = []
  while (picked.length < count && pool.length > 0)
    picked.push(...pool.splice(Math.floor(random() * pool.length), 1))
  return picked
}

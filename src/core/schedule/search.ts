import { costOf, jobCost, totalTerms } from './cost'
import type { SlotContext } from './find-slot'
import { insertJob } from './insert-job'
import type { Model, ModelJob } from './model'
import type { Placed, PlaceFailure } from './place-job'
import { type Random, seededRandom } from './random'
import { ShopState } from './shop-state'

/**
 * Large-neighbourhood search: some jobs that lie close together in time are taken off the calendar and laid again, one
 * by one, in another order; what comes of it is kept if it is cheaper, and now and then while the search is warm even
 * if it is not (simulated annealing; Schrimpf et al. 2000, “Record breaking optimization results using the ruin and
 * recreate principle”).
 */

export type SearchOptions = {
  seed: number
  /** Improvement attempts at most. */
  steps: number
  /** Asked between attempts; the edge watches the clock here. */
  shouldStop?: () => boolean
  /** Told of the first schedule and of every better one. */
  onBetter?: (progress: SearchProgress) => void
}

export type SearchProgress = { steps: number; cost: number; unplaced: number }

export type SearchResult = {
  placed: (Placed | undefined)[]
  /** Jobs that found no place, with the last thing that stood in their way. */
  failures: Map<number, PlaceFailure>
  steps: number
}

/** Rounds of starting over with the jobs first that found no room. */
const PROMOTIONS_MAX = 12
/** Most jobs taken off the calendar at once. */
const REMOVE_MAX = 12
/** How often, of a hundred, a free slot or crew is left for somebody else; in some attempts far more often. */
const BLINK_PERCENT = 1
const BLINK_PERCENT_OFTEN = 20
const OFTEN_BLINKING = 0.3
const OFTEN_BLINKING_JOBS = 4
/** Share of the attempts in which what holds a bay for longest is laid first. */
const LONGEST_FIRST = 0.8
/** Attempts of the first round of cooling; each later round is twice as long, so that any moment is soon a cool one. */
const FIRST_ROUND = 400
/** Warmth at the beginning and end of a round, as a share of what one job costs on average. */
const WARM = 0.1
const COOL = 0.01
/** Jobs are taken to be this much nearer or farther than they are, so that not always the same go together. */
const NEARNESS_NOISE_MINUTES = 1500
/** A minute less of finishing decides between schedules of one cost, such as those of one makespan. */
const TIE_PER_MINUTE = 1e-4

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

const endOf = ({ placement }: Placed) =>
  placement.operations.reduce((end, each) => Math.max(end, each.end), 0)
const startOf = ({ placement }: Placed) =>
  placement.operations.reduce((start, each) => Math.min(start, each.start), Number.POSITIVE_INFINITY)

/** Jobs on the calendar, their cost, and why the others are not on it. */
class Calendar {
  readonly placed: (Placed | undefined)[]
  readonly failures = new Map<number, PlaceFailure>()
  readonly shop: ShopState
  private readonly costs: number[]
  readonly missing: number

  constructor(readonly model: Model) {
    this.shop = new ShopState(model)
    this.placed = model.jobs.map(() => undefined)
    this.costs = model.jobs.map(() => 0)
    const { tardiness, hold, finish, makespan } = model.problem.objective
    const weight = model.jobs.reduce((most, job) => Math.max(most, job.weight), 1)
    // One job that is not placed weighs more than all others at their worst.
    this.missing =
      (1 + model.jobs.length) * model.horizon * (1 + tardiness * weight + 4 * hold + finish + makespan)
  }

  insert(job: ModelJob, random?: Random, blinkPercent = 0): void {
    this.shop.remove(job.index)
    const context: SlotContext = {
      model: this.model,
      shop: this.shop,
      ...(random ? { random, blinkPercent } : {}),
    }
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
    this.costs[job.index] = jobCost(this.model, job, placed.placement, Number.POSITIVE_INFINITY)
    this.failures.delete(job.index)
    this.shop.commit(job, placed.placement)
  }

  takeOff(job: ModelJob): void {
    this.shop.remove(job.index)
    this.shop.reserve(job)
    this.placed[job.index] = undefined
  }

  /** What a job adds to the energy, but for the makespan. */
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

/** Lays all jobs in order; where some find no room, starts over with those first. */
function construct(model: Model, onBuilt: (calendar: Calendar) => void): Calendar {
  let order = [...model.jobs].sort(byUrgency)
  let best: Calendar | undefined
  for (let round = 0; round <= PROMOTIONS_MAX; round++) {
    const run = new Calendar(model)
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

/** Takes the jobs with no place off, and some around a moment at which a job is on the calendar, or should be. */
function chooseJobs(calendar: Calendar, random: Random): ModelJob[] {
  const { jobs } = calendar.model
  const unplaced = jobs.filter((job) => !calendar.placed[job.index])
  const seed = unplaced.length > 0 && random() < 0.5 ? pick(unplaced, random) : pickSeed(calendar, random)
  const count = 1 + Math.floor(random() * Math.min(REMOVE_MAX, jobs.length))
  const placed = calendar.placed[seed.index]
  // It may have to go where it would be if nobody were in its way: anywhere from its arrival on.
  const from = Math.max(0, seed.arrive)
  const to = placed ? endOf(placed) : (seed.due ?? calendar.model.horizon)
  const moment = from + random() * Math.max(0, to - from)
  const distance = (job: ModelJob): number => {
    if (job === seed) return -1
    const other = calendar.placed[job.index]
    if (!other) return 0
    const away = Math.max(0, startOf(other) - moment, moment - endOf(other))
    return away + random() * NEARNESS_NOISE_MINUTES
  }
  return jobs
    .map((job) => ({ job, distance: distance(job) }))
    .sort((a, b) => a.distance - b.distance)
    .slice(0, count + unplaced.length)
    .map(({ job }) => job)
}

/** A job to begin with: every other time one that is late. */
function pickSeed(calendar: Calendar, random: Random): ModelJob {
  const { jobs } = calendar.model
  if (random() < 0.5) return pick(jobs, random)
  const late = jobs.filter((job) => {
    const placed = calendar.placed[job.index]
    return placed && job.due !== undefined && endOf(placed) > job.due
  })
  return pick(late.length > 0 ? late : jobs, random)
}

const pick = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)]!

/**
 * The order in which jobs are laid again: mostly those first that hold a bay for longest, since short ones find room
 * between them; else at random.
 */
function shuffled(jobs: readonly ModelJob[], random: Random): ModelJob[] {
  const byLength = random() < LONGEST_FIRST
  const keys = new Map(
    jobs.map((job) => {
      const held = job.stays.reduce((sum, stay) => sum + stay.minutesAtLeast, 0)
      return [job, byLength ? -held * (0.7 + 0.6 * random()) : random()]
    }),
  )
  return [...jobs].sort((a, b) => freedom(a) - freedom(b) || keys.get(a)! - keys.get(b)!)
}

/** How warm the search is after so many attempts, between 1 and 0. */
function warmthAt(step: number): number {
  let start = 0
  let round = FIRST_ROUND
  while (step >= start + round) {
    start += round
    round *= 2
  }
  return 1 - (step - start) / round
}

/**
 * Lays every job, the most urgent first, and then improves until it is stopped or `bound` proves there is nothing
 * better. Jobs that do not fit stay unplaced with their reason; the others are still placed.
 */
export function search(model: Model, options: SearchOptions, bound = Number.NEGATIVE_INFINITY): SearchResult {
  const random = seededRandom(options.seed)
  let steps = 0
  const report = (calendar: Calendar) =>
    options.onBetter?.({ steps, cost: calendar.cost(), unplaced: calendar.failures.size })
  const run = construct(model, report)
  let current = run.energy()
  let best = snapshot(run, current)
  const proved = () => best.failures.size === 0 && best.cost <= bound
  while (steps < options.steps && model.jobs.length > 0 && !proved() && !options.shouldStop?.()) {
    const warmth = warmthAt(steps)
    if (warmth === 1 && current > best.energy) {
      restore(run, best)
      current = best.energy
    }
    steps++
    const touched = chooseJobs(run, random)
    const before = touched.map((job) => run.placed[job.index])
    const failures = new Map(run.failures)
    const temperature = (best.energy / model.jobs.length) * COOL * (WARM / COOL) ** warmth
    const limit = current - temperature * Math.log(1 - random())
    for (const job of touched) run.takeOff(job)
    const next = layAgain(run, shuffled(touched, random), limit, random)
    if (next < limit) {
      current = next
      if (current < best.energy) {
        best = snapshot(run, current)
        report(run)
      }
    } else undo(run, touched, before, failures)
  }
  return { placed: best.placed, failures: best.failures, steps }
}

/** Lays jobs one by one, and gives up where those laid so far already cost more than `limit`. The energy thereafter. */
function layAgain(calendar: Calendar, jobs: readonly ModelJob[], limit: number, random: Random): number {
  let energy = calendar.energy() - jobs.length * calendar.missing
  const blinkPercent =
    random() < Math.min(OFTEN_BLINKING, OFTEN_BLINKING_JOBS / calendar.model.jobs.length)
      ? BLINK_PERCENT_OFTEN
      : BLINK_PERCENT
  for (const job of jobs) {
    calendar.insert(job, random, blinkPercent)
    energy += calendar.priceOf(job)
    if (energy >= limit) return energy
  }
  return calendar.energy()
}

type Snapshot = {
  placed: (Placed | undefined)[]
  failures: Map<number, PlaceFailure>
  energy: number
  cost: number
}

function snapshot(calendar: Calendar, energy: number): Snapshot {
  return { placed: [...calendar.placed], failures: new Map(calendar.failures), energy, cost: calendar.cost() }
}

function undo(
  calendar: Calendar,
  touched: readonly ModelJob[],
  before: readonly (Placed | undefined)[],
  failures: ReadonlyMap<number, PlaceFailure>,
): void {
  for (const job of touched) calendar.takeOff(job)
  for (const [at, job] of touched.entries()) if (before[at]) calendar.put(job, before[at])
  calendar.failures.clear()
  for (const [job, failure] of failures) calendar.failures.set(job, failure)
}

function restore(calendar: Calendar, { placed, failures }: Snapshot): void {
  undo(calendar, calendar.model.jobs, placed, failures)
}

import type { Problem } from '../contract/problem'
import { drawLuck, type Luck } from '../rehearse/luck'
import { indexesOf, stepsInOrder } from '../rehearse/order'
import { type Played, playOut, type Rules } from '../rehearse/play'
import { BEYOND_DAYS } from '../rehearse/rehearse'
import { compileModel, type Model, type ModelJob } from '../solver/model'
import { seededRandom } from '../solver/random'
import type { JobPlacement } from '../solver/shop-state'

/** What a plan costs on average when it is played out with a few draws of luck, the same for every plan. */

/** A lost window costs as much as so many minutes of lateness: the layer is taken off and put on again (mem). */
const WINDOW_MINUTES = 600
/** What is due and late already on paper counts as so many lost windows: nobody is shown a plan that breaks a promise, however well it plays (mem). */
const LATE_ON_PAPER = 5

export type Judged = {
  /** Mean cost of a run; infinite where it was given up for being dearer than asked. */
  cost: number
  /** What each job adds to it by lateness and lost windows, by index. */
  burden: number[]
  /** Cost of each run, as far as it was played. */
  runs: number[]
}

/** What a plan is held against: one that was judged whole, by what it cost in each run and in the mean. */
export type Rival = Pick<Judged, 'cost' | 'runs'>

/**
 * After so many runs, and where it is so many standard errors dearer than it may be, a plan is given up: both plans meet the same luck, so
 * few runs tell them apart (racing; Maron and Moore 1994). Tried out on busy shops of twenty cars.
 */
const RACED_FROM = 4
const RACED_BY = 1.5

export class Scenarios {
  private readonly model: Model
  private readonly lucks: readonly Luck[]
  private readonly windowPrice: number

  constructor(
    private readonly problem: Problem,
    private readonly rules: Rules,
    { count, seed, sure }: { count: number; seed: number; sure: number },
  ) {
    this.model = compileModel({ ...problem, horizonDays: problem.horizonDays + BEYOND_DAYS })
    const random = seededRandom(seed)
    this.lucks = Array.from({ length: count }, () => drawLuck(problem, random))
    this.mayBeLate = Math.floor((1 - sure) * count)
    const { tardiness, hold, finish, makespan } = problem.objective
    this.windowPrice = WINDOW_MINUTES * Math.max(tardiness, hold, finish, makespan)
  }

  /** In so many runs a job may be late. */
  private readonly mayBeLate: number

  /**
   * Plays a plan out. It is given up as soon as it costs more than `limit` in the mean, or, beside a rival, as soon as that is as good as
   * certain.
   */
  judge(
    placements: readonly (JobPlacement | undefined)[],
    limit = Number.POSITIVE_INFINITY,
    rival?: Rival,
  ): Judged {
    const steps = stepsInOrder(this.model, placements)
    const at = indexesOf(this.model, steps)
    const burden = this.model.jobs.map(() => 0)
    const late = this.model.jobs.map(() => 0)
    const runs: number[] = []
    const givenUp: Judged = { cost: Number.POSITIVE_INFINITY, burden, runs }
    const onPaper = this.onPaper(placements)
    let left = (limit - onPaper) * this.lucks.length
    if (left <= 0) return givenUp
    const race = rival && new Race(rival, limit)
    for (const luck of this.lucks) {
      const factors = steps.map(({ job, operation }) => luck[job.index]![operation.index]!)
      const played = playOut(steps, factors, this.rules)
      const own = this.costOfRun(played, at, { burden, late })
      left -= own
      runs.push(onPaper + own)
      if (left <= 0 || (race?.isLost(onPaper + own) && runs.length < this.lucks.length)) return givenUp
    }
    return { cost: runs.reduce((sum, own) => sum + own, 0) / this.lucks.length, burden, runs }
  }

  private onPaper(placements: readonly (JobPlacement | undefined)[]): number {
    const late = this.model.jobs.filter(({ index, due }) =>
      placements[index]?.operations.some(({ end }) => end > (due ?? end)),
    )
    return LATE_ON_PAPER * this.windowPrice * late.length
  }

  private costOfRun(
    played: readonly Played[],
    at: readonly (readonly number[])[],
    { burden, late }: { burden: number[]; late: number[] },
  ): number {
    const { tardiness, finish, hold, makespan } = this.problem.objective
    let cost = 0
    let last = 0
    for (const job of this.model.jobs) {
      const own = at[job.index]!
      let end = 0
      for (let operation = 0; operation < own.length; operation++)
        end = Math.max(end, played[own[operation]!]!.to)
      let lost = 0
      for (const { from, to, max } of job.links)
        if (max !== Number.POSITIVE_INFINITY && played[own[to]!]!.from - played[own[from]!]!.to > max) lost++
      const tardy = Math.max(0, end - (job.due ?? end))
      // More often late than it may be, each time counts as a lost window does.
      if (tardy > 0) late[job.index]!++
      const broken = tardy > 0 && late[job.index]! > this.mayBeLate ? 1 : 0
      const hurt = tardiness * job.weight * tardy + this.windowPrice * (lost + broken)
      burden[job.index]! += hurt
      cost += hurt + finish * (end - job.arrive) + hold * heldFor(job, own, played)
      last = Math.max(last, end)
    }
    return cost + makespan * last
  }
}

function heldFor({ stays }: ModelJob, own: readonly number[], played: readonly Played[]): number {
  let held = 0
  for (const { operations, holdShare } of stays) {
    let from = Number.POSITIVE_INFINITY
    let to = Number.NEGATIVE_INFINITY
    for (const operation of operations) {
      const run = played[own[operation]!]!
      from = Math.min(from, run.from)
      to = Math.max(to, run.to)
    }
    held += holdShare * (to - from)
  }
  return held
}

/** One plan against another, run by run. */
class Race {
  private runs = 0
  private sum = 0
  private squares = 0

  constructor(
    private readonly rival: Rival,
    private readonly limit: number,
  ) {}

  /** Whether the plan that cost so much in the next run will hardly come below the limit. */
  isLost(cost: number): boolean {
    const apart = cost - this.rival.runs[this.runs++]!
    this.sum += apart
    this.squares += apart ** 2
    if (this.runs < RACED_FROM) return false
    const mean = this.sum / this.runs
    const error = Math.sqrt(Math.max(0, this.squares / this.runs - mean ** 2) / (this.runs - 1))
    return mean - (this.limit - this.rival.cost) > RACED_BY * error
  }
}

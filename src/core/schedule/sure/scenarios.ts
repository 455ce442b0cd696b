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
}

/** When the steps of a plan lie in a run, by job and operation. */
type RunOf = (job: ModelJob, operation: number) => Played

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

  /** Plays a plan out; it is given up as soon as it costs more than `limit` in the mean. */
  judge(placements: readonly (JobPlacement | undefined)[], limit = Number.POSITIVE_INFINITY): Judged {
    const steps = stepsInOrder(this.model, placements)
    const at = indexesOf(this.model, steps)
    const burden = this.model.jobs.map(() => 0)
    const late = this.model.jobs.map(() => 0)
    const dearest = limit * this.lucks.length
    let total = this.onPaper(placements) * this.lucks.length
    if (total >= dearest) return { cost: Number.POSITIVE_INFINITY, burden }
    for (const luck of this.lucks) {
      const factors = steps.map(({ job, operation }) => luck[job.index]![operation.index]!)
      const played = playOut(steps, factors, this.rules)
      total += this.costOfRun((job, operation) => played[at[job.index]![operation]!]!, burden, late)
      if (total >= dearest) return { cost: Number.POSITIVE_INFINITY, burden }
    }
    return { cost: total / this.lucks.length, burden }
  }

  private onPaper(placements: readonly (JobPlacement | undefined)[]): number {
    const late = this.model.jobs.filter(({ index, due }) =>
      placements[index]?.operations.some(({ end }) => end > (due ?? end)),
    )
    return LATE_ON_PAPER * this.windowPrice * late.length
  }

  private costOfRun(of: RunOf, burden: number[], late: number[]): number {
    const { objective } = this.problem
    let cost = 0
    let last = 0
    for (const job of this.model.jobs) {
      const end = job.operations.reduce((most, { index }) => Math.max(most, of(job, index).to), 0)
      const lost = job.links.filter(({ from, to, max }) => of(job, to).from - of(job, from).to > max).length
      const tardy = Math.max(0, end - (job.due ?? end))
      // More often late than it may be, each time counts as a lost window does.
      if (tardy > 0) late[job.index]!++
      const broken = tardy > 0 && late[job.index]! > this.mayBeLate ? 1 : 0
      const own = objective.tardiness * job.weight * tardy + this.windowPrice * (lost + broken)
      burden[job.index]! += own
      cost += own + objective.finish * (end - job.arrive) + objective.hold * heldFor(job, of)
      last = Math.max(last, end)
    }
    return cost + objective.makespan * last
  }
}

function heldFor(job: ModelJob, of: RunOf): number {
  return job.stays.reduce((sum, { operations, holdShare }) => {
    const runs = operations.map((index) => of(job, index))
    const from = runs.reduce((least, run) => Math.min(least, run.from), Number.POSITIVE_INFINITY)
    return sum + holdShare * (runs.reduce((most, run) => Math.max(most, run.to), from) - from)
  }, 0)
}

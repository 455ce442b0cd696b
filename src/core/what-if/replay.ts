import type { JobId } from '../ids'
import { OFFSITE } from '../offer/in-order'
import { collectionTime, newJob, planningProblem, shopCalendar } from '../planning'
import {
  BETWEEN_PEOPLE,
  chanceAt,
  drawLuck,
  type LivedJob,
  LivedShop,
  type LuckOf,
  luckIn,
  type PlacedOperation,
  PROMISE_SEED,
  type Problem,
  type ProblemJob,
  playAll,
  seededRandom,
  soonestGreedy,
  TOLERATED_MINUTES,
} from '../schedule'
import type { Setup } from '../shop'
import {
  atLocal,
  dayIn,
  daysBetween,
  earlierOf,
  type Instant,
  type LocalDay,
  laterOf,
  minutesBetween,
  plusDays,
} from '../time'
import type { AskedCar } from './demand'
import { type DoneCar, type Figures, figuresOf } from './figures'

/** A stretch of demand lived through car by car, as each of its owners asked, by a shop that tells them an honest date and re-plans each morning. */

/** Whoever would wait longer than so many days from asking to fetching goes elsewhere (mem). */
export const PATIENCE_DAYS = 21

/** Runs in which one car is played out before it is promised. */
const RUNS_TO_PROMISE = 60
/** What is not done so many days after the last asked is not waited for. */
const AFTER_DAYS = 90
const SEED = 15_485_863

/**
 * One run: what it came to, how many were taken, how many would not wait so long or found no room at all, and what was left of prices before
 * wages and bays were paid.
 */
export type LivedRun = { figures: Figures; taken: number; lost: number; leftCentsPerWeek: number }

/** A car as it is planned on the day on which it is asked for. */
type PlannedCar = { car: AskedCar; job: ProblemJob }

type Promised = { car: AskedCar; promised: Instant }

function doneCar({ job, operations }: LivedJob, { car, promised }: Promised): DoneCar {
  const spanOf = (ids: ReadonlySet<string>) => {
    const own = operations.filter(({ operation }) => ids.has(operation))
    const from = own.map(({ start }) => start).reduce(earlierOf)
    return { from, to: own.map(({ end }) => end).reduce(laterOf) }
  }
  const end = operations.map((each) => each.end).reduce(laterOf)
  return {
    untilDone: minutesBetween(car.asked, end),
    late: minutesBetween(promised, end),
    earnedCents: car.leftCents - car.wageCents,
    inBays: job.stays
      .filter(({ kind }) => kind !== OFFSITE)
      .map((stay) => spanOf(new Set<string>(stay.operations)))
      .reduce((sum, { from, to }) => sum + minutesBetween(from, to), 0),
  }
}

/** Cars by the day on which they are asked for, with the luck of as many runs as are wanted. The luck hangs on the cars alone. */
export class Replay {
  private readonly days = new Map<LocalDay, PlannedCar[]>()
  private readonly cars: readonly PlannedCar[]
  /** The shop as the scheduler sees it; nothing where nobody asks. */
  private readonly shop: Problem | undefined

  constructor(
    private readonly setup: Setup,
    cars: readonly AskedCar[],
  ) {
    const calendar = shopCalendar(setup)
    const problems = cars.map(({ id, plan, asked, size }) => {
      const { problem } = planningProblem(calendar, [{ ...newJob(plan, asked, size), id }], { now: asked })
      return problem
    })
    this.shop = problems[0]
    this.cars = cars.map((car, at) => ({ car, job: problems[at]!.jobs[0]! }))
    for (const each of this.cars) {
      const day = dayIn(setup.region.timezone, each.car.asked)
      this.days.set(day, [...(this.days.get(day) ?? []), each])
    }
  }

  private luckOf(run: number): LuckOf {
    const jobs = this.cars.map(({ job }) => job)
    return luckIn({ jobs }, drawLuck({ jobs }, seededRandom(SEED + run)))
  }

  /** Lives through all of it once, with the luck of a run; there is one car at least. Yields the share that is done, 0–1. */
  *live(run: number): Generator<number, LivedRun> {
    let lost = 0
    const zone = this.setup.region.timezone
    const sold = new Set(this.setup.packages.map(({ key }) => key))
    const promises = new Map<JobId, Promised>()
    const rules = { early: false, tolerate: TOLERATED_MINUTES }
    const days = [...this.days.keys()].sort()
    const [begins, ends] = [days[0]!, days.at(-1)!]
    const origin = atLocal(zone, begins, '00:00')
    const shop = new LivedShop({ ...this.shop!, origin, jobs: [], fixed: [] }, this.luckOf(run), rules)
    for (
      let day = begins;
      day <= ends || (!shop.isIdle && day < plusDays(ends, AFTER_DAYS));
      day = plusDays(day, 1)
    ) {
      yield Math.min(1, daysBetween(begins, day) / (daysBetween(begins, ends) + 1))
      shop.goOn(atLocal(zone, day, '00:00'))
      shop.planAnew()
      for (const { car, job } of this.days.get(day) ?? []) {
        const found = sold.has(car.packageKey) ? this.promised(shop, job) : undefined
        if (found && daysBetween(day, dayIn(zone, found.promised)) <= PATIENCE_DAYS) {
          shop.take({ ...job, due: found.promised }, found.operations)
          promises.set(car.id, { car, promised: found.promised })
        } else lost++
      }
    }
    const weeks = (daysBetween(begins, ends) + 1) / 7
    const done = shop.lived().map((lived) => ({ lived, promise: promises.get(lived.job.id)! }))
    const cars = done.map(({ lived, promise }) => doneCar(lived, promise))
    return {
      figures: figuresOf(cars, weeks),
      taken: cars.length,
      lost,
      leftCentsPerWeek: done.reduce((sum, { promise }) => sum + promise.car.leftCents, 0) / weeks,
    }
  }

  /** Where a car goes and when it is promised, nobody else moved; nothing where it has no room. */
  private promised(
    shop: LivedShop,
    job: ProblemJob,
  ): { operations: PlacedOperation[]; promised: Instant } | undefined {
    const [problem, placed] = [shop.problem(), shop.placed()]
    const found = soonestGreedy(problem, placed, job)
    if (found.kind === 'impossible') return undefined
    const whole = { ...problem, jobs: [...problem.jobs, job] }
    const options = { runs: RUNS_TO_PROMISE, seed: PROMISE_SEED, between: BETWEEN_PEOPLE, only: job.id }
    const outcome = playAll(whole, [...placed, ...found.operations], options)
    const { by } = chanceAt(outcome, job.id, this.setup.sure)!
    return { operations: found.operations, promised: collectionTime(this.setup, by) }
  }
}

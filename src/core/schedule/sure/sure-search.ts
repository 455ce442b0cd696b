import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import type { Rules } from '../rehearse/play'
import { type Churn, Draft } from '../solver/draft'
import { compileModel, type Model, type ModelJob } from '../solver/model'
import { jobsAround, shuffled } from '../solver/neighbourhood'
import { type Placed, placeJob } from '../solver/place-job'
import { readPlacements } from '../solver/placements'
import { type Random, seededRandom } from '../solver/random'
import { type JobRoom, withRoom } from '../solver/room'
import { roundAt } from '../solver/search'
import { ShopState } from '../solver/shop-state'
import { type Roominess, roomsIn } from './rooms'
import { type Judged, type Rival, Scenarios } from './scenarios'

/**
 * Looks for the plan that is cheapest when it is played out, not on paper: some jobs are taken off the calendar and placed again, with
 * room round their work or without, and what comes of it is kept if it does better over the same draws of luck (sample average
 * approximation; Kleywegt, Shapiro and Homem-de-Mello 2002). So a buffer is put where it pays, and nowhere else.
 */

// The figures below were tried out on busy shops of twenty cars.

/** Draws of luck a plan is judged by. */
const SCENARIOS = 24
const BEHIND = [0, 0.7, 1.2, 1.7, 2.2, 2.8]
const BEFORE = [0, 0.8, 1.6]
/** So many ways to keep room are drawn anew for each operation of a job, and so many tried for them. */
const MIXED = 24
const TRIES_MIXED = 3 * MIXED
/** Most jobs placed again at once; mostly it is one, of which far more come to something. */
const REMOVE_MAX = 5
/** How often a job is drawn without regard to what it loses. */
const AT_RANDOM = 0.3
/** Attempts of the first round of cooling, and how much dearer than the best a plan may become at its beginning and end, as a share. */
const FIRST_ROUND = 200
const WARM = 0.05
const COOL = 0.001
/** How often, of a hundred, a free slot or crew is left for somebody else; in wild attempts, and which share is wild. */
const BLINK_PERCENT = 2
const WILD_BLINK_PERCENT = 20
const WILD_SHARE = 0.1

export class SureSearch {
  steps = 0
  best: { placed: readonly (Placed | undefined)[]; cost: number }
  readonly model: Model
  private readonly scenarios: Scenarios
  private readonly draft: Draft
  private readonly random: Random
  /** Each job in every roominess. */
  private readonly rooms: readonly (readonly ModelJob[])[]
  /** What the plan it is at costs when it is played out, and when it is played out without what was moved. */
  private cost = Number.POSITIVE_INFINITY
  private rival: Rival = { cost: Number.POSITIVE_INFINITY, runs: [] }
  private burden: number[] = []

  /** Begins with a whole schedule of the problem. `sure` is the chance with which what is due should be in time. */
  constructor(
    problem: Problem,
    standing: readonly PlacedOperation[],
    { seed, sure, rules, churn }: { seed: number; sure: number; rules: Rules; churn?: Churn },
  ) {
    this.model = compileModel(problem)
    this.random = seededRandom(seed)
    this.scenarios = new Scenarios(problem, rules, { count: SCENARIOS, seed: seed + 1, sure })
    this.rooms = roomyJobs(problem, this.model, {
      tolerate: rules.tolerate,
      random: seededRandom(seed + 2),
    })
    this.draft = new Draft(this.model, churn)
    const placements = readPlacements(this.model, standing)
    for (const job of this.model.jobs) {
      const placement = placements[job.index]
      if (placement) this.draft.put(job, { placement, berths: [], causes: [] })
    }
    this.standOn(this.judged())
    this.best = { placed: [...this.draft.placed], cost: this.cost }
  }

  /** One attempt at something better. */
  step(): void {
    const { draft, random } = this
    if (roundAt(this.steps++, FIRST_ROUND).left === 1) this.returnToBest()
    const most = 1 + Math.floor(random() ** 2 * REMOVE_MAX)
    const touched = jobsAround(draft, random, this.seedJob()).slice(0, most)
    const before = touched.map((job) => draft.placed[job.index])
    for (const job of touched) draft.takeOff(job)
    const limit = this.cost - this.best.cost * this.warmth() * Math.log(1 - random())
    const judged = this.placeAgain(touched) ? this.judged(limit, this.rival) : undefined
    if (!judged || judged.cost >= limit) {
      for (const job of touched) draft.takeOff(job)
      for (const [at, job] of touched.entries()) if (before[at]) draft.put(job, before[at])
      draft.failures.clear()
      return
    }
    this.standOn(judged)
    if (judged.cost < this.best.cost) this.best = { placed: [...draft.placed], cost: judged.cost }
  }

  /** How much dearer than the best a plan may become on the way, as a share; it begins anew with the best in every round. */
  private warmth(): number {
    const { left } = roundAt(this.steps - 1, FIRST_ROUND)
    return COOL * (WARM / COOL) ** left
  }

  private returnToBest(): void {
    if (this.cost <= this.best.cost) return
    for (const job of this.model.jobs) this.draft.takeOff(job)
    for (const job of this.model.jobs)
      if (this.best.placed[job.index]) this.draft.put(job, this.best.placed[job.index]!)
    this.standOn(this.judged())
  }

  /** What the plan costs when it is played out, and what it costs to have moved what people were told. */
  private judged(limit = Number.POSITIVE_INFINITY, rival?: Rival): Judged {
    const churn = this.draft.churned()
    const placements = this.draft.placed.map((placed) => placed?.placement)
    const judged = this.scenarios.judge(placements, limit - churn, rival)
    return { ...judged, cost: judged.cost + churn }
  }

  /** Goes on from the plan that was judged last. */
  private standOn({ cost, burden, runs }: Judged): void {
    this.cost = cost
    this.burden = burden
    this.rival = { cost: cost - this.draft.churned(), runs }
  }

  private placeAgain(jobs: readonly ModelJob[]): boolean {
    const { draft, random } = this
    const wild = random() < WILD_SHARE
    for (const { index } of shuffled(jobs, random)) {
      const options = this.rooms[index]!
      const job = options[Math.floor(random() * options.length)]!
      draft.insert(job, { random, blinkPercent: wild ? WILD_BLINK_PERCENT : BLINK_PERCENT, delays: wild })
      if (!draft.placed[index]) return false
    }
    return true
  }

  /** A job to begin with: mostly one that loses windows or is late. */
  private seedJob(): ModelJob {
    const jobs = this.draft.looseJobs
    const any = jobs[Math.floor(this.random() * jobs.length)]!
    if (this.random() < AT_RANDOM) return any
    let left = this.random() * jobs.reduce((sum, { index }) => sum + this.burden[index]!, 0)
    for (const job of jobs) {
      left -= this.burden[job.index]!
      if (left < 0) return job
    }
    return any
  }
}

/** Each job with room kept round its work in many ways, as far as it could be done so in an empty shop. */
function roomyJobs(problem: Problem, model: Model, { tolerate, random }: Roomily): ModelJob[][] {
  const roomOf = roomsIn(problem, model, tolerate)
  const roominess: Roominess[] = BEHIND.flatMap((behind) => BEFORE.map((before) => ({ behind, before })))
  const empty = new ShopState(model)
  return model.jobs.map((job) => {
    const even = roominess.map((each) => roomOf(job.index, each))
    const mixed = Array.from({ length: TRIES_MIXED }, () => mixedOf(job, even, random))
    const could = (room: JobRoom) => placeJob({ model, shop: empty }, withRoom(job, room)).ok
    const rooms = [...even.filter(could), ...firstOf(mixed, MIXED, could)]
    return (rooms.length > 0 ? rooms : even).map((room) => withRoom(job, room))
  })
}

type Roomily = { tolerate: number; random: Random }

/** The first so many that hold. */
function firstOf<T>(all: readonly T[], most: number, holds: (each: T) => boolean): T[] {
  const found: T[] = []
  for (const each of all) {
    if (found.length === most) break
    if (holds(each)) found.push(each)
  }
  return found
}

/** The room of one job with that of each operation drawn from one of these, and that of each link as of the operation before it. */
function mixedOf({ operations, links }: ModelJob, rooms: readonly JobRoom[], random: Random): JobRoom {
  const drawn = operations.map(() => rooms[Math.floor(random() * rooms.length)]!)
  return {
    operations: drawn.map((room, index) => room.operations[index]!),
    links: links.map(({ from }, index) => drawn[from]!.links[index]!),
  }
}

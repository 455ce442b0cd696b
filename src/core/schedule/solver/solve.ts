import type { Problem } from '../contract/problem'
import { type CostTerms, SCHEDULE_FORMAT, type Schedule } from '../contract/schedule-file'
import { boundOf } from './bound'
import { costOf, totalTerms } from './cost'
import { type Impossibility, impossibilitiesOf } from './impossible'
import { compileModel, type Model } from './model'
import { writeOperations } from './placements'
import { PricedBound } from './priced/priced-bound'
import { seededRandom } from './random'
import { failureReason, impossibilityReason } from './reasons'
import { Search, type SearchOptions } from './search'
import { type JobShop, jobShopOf } from './turns/job-shop'
import { TurnSearch } from './turns/turn-search'

/** Shops of so many jobs are small enough for a proof that nothing is better. */
const PROOF_JOBS_MAX = 12

/** So many attempts are made at something better for every round at the bound (tried out). */
const STEPS_PER_ROUND = 3
/** Changes of turn in a job shop for every attempt of the search (tried out). */
const TURNS_PER_STEP = 200

export type Solution = {
  schedule: Schedule
  /** Improvement attempts made: give this as `steps` with the same seed for the same schedule again. */
  steps: number
}

function infeasible(model: Model, found: Impossibility[]): Schedule {
  return {
    format: SCHEDULE_FORMAT,
    status: 'infeasible',
    operations: [],
    reasons: found.map((each) => impossibilityReason(model, each)),
  }
}

/**
 * Solving that can be left and taken up again, so that it can run beside other things, show how far it is, and be stopped
 * at any moment with the best schedule so far.
 */
export class Solver {
  private readonly model: Model
  private readonly impossible: Impossibility[]
  private readonly search?: Search
  private bound = Number.NEGATIVE_INFINITY
  private readonly priced?: PricedBound
  private readonly isSmall: boolean = false
  private readonly jobShop?: JobShop
  private readonly turns?: TurnSearch

  /** Makes a first schedule. The problem is taken to be checked. */
  constructor(
    problem: Problem,
    { seed, onBetter, standing, churn, rooms, unproven = false }: Omit<SearchOptions, 'steps' | 'shouldStop'>,
  ) {
    this.model = compileModel(problem, rooms)
    this.impossible = this.model.jobs.flatMap((job) => impossibilitiesOf(this.model, job))
    if (this.impossible.length > 0) return
    // In a large shop nothing is proved on the way; the first schedule should not wait for the better bound.
    const isSmall = this.model.jobs.length <= PROOF_JOBS_MAX
    const known = unproven ? undefined : boundOf(this.model, !isSmall)
    this.bound = known?.cost ?? this.bound
    this.search = new Search(this.model, seed, this.bound, onBetter, {
      ...(standing ? { standing } : {}),
      ...(churn ? { churn } : {}),
    })
    this.jobShop = jobShopOf(this.model)
    const steps = this.search.best.placed.flatMap((placed) => placed?.placement.operations ?? [])
    if (this.jobShop?.minutes.length === steps.length)
      this.turns = new TurnSearch(
        this.jobShop,
        steps.map(({ start }) => start),
        seededRandom(seed),
      )
    if (!known) return
    this.isSmall = isSmall
    this.priced = new PricedBound(this.model, known)
  }

  /** Works at the bound in proportion to the attempts made: who is content with the first schedule does not wait for a proof. */
  private improveBound(): void {
    const { priced, search } = this
    if (!priced || !search || search.done || search.best.failures.size > 0) return
    const due = Math.min(priced.roundsAtLeisure, Math.floor(search.steps / STEPS_PER_ROUND)) - priced.rounds
    if (due <= 0) return
    const bound = priced.improve({ best: search.best.cost, rounds: due })
    if (Number.isFinite(bound)) this.bound = Math.max(this.bound, bound)
    search.raiseBound(this.bound)
  }

  /** Nothing better can be found. */
  get done(): boolean {
    return this.search?.done ?? true
  }

  get steps(): number {
    return this.search?.steps ?? 0
  }

  /** One attempt at something better. */
  step(): void {
    this.search?.step()
    this.changeTurns()
    // In a large shop the bound is worked at once, when it is asked for.
    if (this.isSmall) this.improveBound()
  }

  private changeTurns(): void {
    const { turns, jobShop } = this
    if (!turns || !jobShop) return
    const { end } = turns.best
    turns.step(TURNS_PER_STEP)
    if (turns.best.end < end) this.search!.adopt(jobShop.placementsOf(turns.best.starts))
  }

  /** The terms of the cost of the best schedule so far, in minutes. */
  terms(): CostTerms {
    const placed = this.search?.best.placed ?? []
    return totalTerms(
      this.model,
      placed.flatMap((job) => (job ? [job.placement] : [])),
    )
  }

  /**
   * The best schedule so far. `infeasible` carries a reason for each job that found no place; where that is not proved,
   * only the search having found none, the schedule of the others stands beside it.
   */
  schedule(): Schedule {
    const { model } = this
    if (!this.search) return infeasible(model, this.impossible)
    this.improveBound()
    const { best } = this.search
    const placed = best.placed.filter((job) => job !== undefined)
    const terms = this.terms()
    const cost = costOf(model, terms)
    const operations = placed.flatMap((job) => writeOperations(model, job.placement))
    const reasons = [...best.failures].map(([job, failure]) => failureReason(model, job, failure))
    const status = reasons.length > 0 ? 'infeasible' : cost <= this.bound ? 'optimal' : 'feasible'
    return {
      format: SCHEDULE_FORMAT,
      status,
      ...(status === 'infeasible' ? {} : { cost }),
      ...(status === 'infeasible' || this.bound === Number.NEGATIVE_INFINITY
        ? {}
        : { lowerBound: this.bound }),
      terms,
      operations,
      reasons,
    }
  }
}

/** Places all jobs of a checked problem, and improves until the steps are done or it is told to stop. */
export function solve(problem: Problem, options: SearchOptions): Solution {
  const solver = new Solver(problem, options)
  while (solver.steps < options.steps && !solver.done && !options.shouldStop?.()) solver.step()
  return { schedule: solver.schedule(), steps: solver.steps }
}

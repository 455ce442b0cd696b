import type { Problem } from '../contract/problem'
import type { CostTerms, Schedule } from '../contract/schedule-file'
import { TOLERATED_MINUTES } from '../rehearse/rehearse'
import { totalTerms } from '../solver/cost'
import { scheduleOf } from '../solver/placements'
import type { SearchOptions } from '../solver/search'
import { Solver } from '../solver/solve'
import { SureSearch } from './sure-search'

export type SureSolverOptions = Pick<SearchOptions, 'seed' | 'steps' | 'standing' | 'churn'> & {
  /** The chance with which what is due should be in time, 0–1. */
  sure: number
  /** The share of the attempts in which the plan is looked for on paper alone; a twelfth where nothing is said. */
  onPaper?: number
}

/** The share of the attempts in which the plan is usually looked for on paper; from it the other search begins. */
const ON_PAPER = 0.08
/** While not every job has a place, attempts between two looks whether that has changed. */
const ASKED_EVERY = 50

/**
 * Solving in two parts that can be left and taken up again: first the plan that is cheapest on paper, then, where work varies, one that is
 * cheapest when it is played out. `schedule` is at any moment the best of the part it is in.
 */
export class SureSolver {
  private readonly onPaper: Solver
  private search: SureSearch | undefined
  private readonly varies: boolean
  /** Not every job had a place when that was last asked, and when it is asked again. */
  private lacksRoom = false
  private asksAgainAt = 0

  constructor(
    private readonly problem: Problem,
    private readonly options: SureSolverOptions,
  ) {
    const { seed, standing, churn } = options
    this.onPaper = new Solver(problem, {
      seed,
      unproven: true,
      ...(standing ? { standing } : {}),
      ...(churn ? { churn } : {}),
    })
    this.varies = problem.jobs.some(({ operations }) => operations.some(({ spread = 0 }) => spread > 0))
  }

  get steps(): number {
    return this.onPaper.steps + (this.search?.steps ?? 0)
  }

  get done(): boolean {
    if (this.steps >= this.options.steps) return true
    if (this.search) return false
    return this.onPaper.done && (!this.varies || this.lacksRoom)
  }

  /** One attempt at something better. `elapsed` is the share of the time that is over, where there is a limit. */
  step(elapsed = 0): void {
    const { steps, onPaper = ON_PAPER } = this.options
    const isEnough = this.onPaper.done || this.onPaper.steps >= onPaper * steps || elapsed >= onPaper
    if (!this.search && this.varies && isEnough && this.onPaper.steps >= this.asksAgainAt) {
      this.search = this.begun()
      this.lacksRoom = this.search === undefined
      this.asksAgainAt = this.onPaper.steps + ASKED_EVERY
    }
    if (this.search) this.search.step()
    else this.onPaper.step()
  }

  private begun(): SureSearch | undefined {
    const { seed, sure, churn } = this.options
    const { status, operations } = this.onPaper.schedule()
    if (status === 'infeasible') return undefined
    const rules = { early: false, tolerate: TOLERATED_MINUTES }
    return new SureSearch(this.problem, operations, { seed, sure, rules, ...(churn ? { churn } : {}) })
  }

  /** The terms of the cost of the best plan so far, on paper, minutes. */
  terms(): CostTerms {
    const { search } = this
    return search ? totalTerms(search.model, placementsOf(search)) : this.onPaper.terms()
  }

  schedule(): Schedule {
    const { search } = this
    return search ? scheduleOf(search.model, placementsOf(search)) : this.onPaper.schedule()
  }
}

const placementsOf = ({ best }: SureSearch) => best.placed.flatMap((job) => (job ? [job.placement] : []))

import type { JobId } from '../ids'
import type { Collecting } from '../offer'
import {
  chanceAt,
  type Outcome,
  type PlacedOperation,
  type PlacingReason,
  type ProblemJob,
  shareBy,
  soonestSure,
} from '../schedule'
import type { Setup } from '../shop'
import { epochMinutes, type Instant } from '../time'
import { collectionTime } from './collection-time'
import type { Standing } from './moves'

/** With which chance a shop keeps what it says. */

/** Beside what is promised, a time is told that hardly ever fails. */
const SURER = 0.95
const SUREST = 0.99
/** How many standard errors of the runs a promise is made surer by (mem): it then is as sure as it is said to be fourteen times in fifteen. */
const ERRORS_OFF = 1.5

/**
 * The share of so many runs, 0–1, that has to be done in time for a promise with the chance `sure`: more than that, by the error of the runs
 * (of a share: √(p (1 − p) / n)). Else every second promise would be less sure than it was said to be.
 */
export const shareToPromise = (sure: number, runs: number): number =>
  Math.min(1, sure + ERRORS_OFF * Math.sqrt((sure * (1 - sure)) / runs))

/** When a car could be fetched by what its job came to in many runs: the time to promise, and a surer one where that is another. */
export function collectingTimes(
  setup: Setup,
  outcome: Outcome,
  job: JobId,
): [promised: Collecting, ...surer: Collecting[]] {
  const { ends } = outcome.jobs.find((each) => each.job.id === job)!
  const at = (sure: number): Collecting => {
    const { by } = chanceAt(outcome, job, shareToPromise(sure, outcome.runs))!
    const time: Instant = collectionTime(setup, by)
    return { at: time, chance: shareBy(ends, epochMinutes(time) - outcome.play.model.originMinute) }
  }
  const promised = at(setup.sure)
  const surer = at(setup.sure < SURER ? SURER : SUREST)
  return surer.at > promised.at ? [promised, surer] : [promised]
}

export type Promisable =
  | {
      kind: 'possible'
      operations: PlacedOperation[]
      chances: [promised: Collecting, ...surer: Collecting[]]
      /** What the job comes to when it is played out. */
      outcome: Outcome
    }
  | { kind: 'impossible'; reason: PlacingReason }

/**
 * When one more job can be promised on a calendar that stands, and how it is placed for that. `rooms` says how many ways to keep room round
 * its work are tried, 1 for the soonest on paper alone.
 */
export function promiseFor(
  setup: Setup,
  { problem, operations }: Standing,
  job: ProblemJob,
  rooms?: number,
): Promisable {
  const found = soonestSure(problem, operations, job, { sure: setup.sure, ...(rooms ? { rooms } : {}) })
  if (found.kind === 'impossible') return found
  return { ...found, chances: collectingTimes(setup, found.outcome, job.id) }
}

/** The same of a job of the calendar itself: it is taken off it, and placed anew beside the others. */
export function promiseAnew(setup: Setup, { problem, operations }: Standing, job: JobId): Promisable {
  const own = problem.jobs.find(({ id }) => id === job)!
  const others = operations.filter((each) => each.job !== job)
  const beside = { ...problem, jobs: problem.jobs.filter((each) => each !== own) }
  return promiseFor(setup, { problem: beside, operations: others }, own)
}

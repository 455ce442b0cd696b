import type { Problem, ProblemJob } from '../contract/problem'
import type { PlacingReason } from '../contract/reason'
import type { PlacedOperation } from '../contract/schedule-file'
import { atShare, type Outcome, playAll, shareBy, TOLERATED_MINUTES } from '../rehearse/rehearse'
import { compileModel } from '../solver/model'
import { type Soonest, soonestBy, soonestGreedy } from '../solver/soonest'
import { BETWEEN_PEOPLE, PROMISE_SEED } from './promises'
import { type Roominess, roomsIn } from './rooms'

/** When one more job could be promised on a calendar that stands. */

export type SureSoonest =
  | { kind: 'possible'; operations: PlacedOperation[]; outcome: Outcome }
  | { kind: 'impossible'; reason: PlacingReason }

/** How much room is tried round the new job, the least first. */
const ROOMINESS: readonly Roominess[] = [
  { behind: 0, before: 0 },
  { behind: 1.2, before: 0.8 },
  { behind: 1.7, before: 0.8 },
  { behind: 2.2, before: 1.6 },
]
const RUNS_TO_CHOOSE = 120
const RUNS = 1200
/** A lost window costs its car so much: what was coated is taken off and done again on another day (mem). */
const LOST_MINUTES = 1440
/** And a promise that is broken so much (mem). */
const LATE_MINUTES = 5 * 1440

/**
 * Places one more job with nobody moved, so that it is done soonest with the chance `sure`, and its windows hold; with what it comes to when
 * it is played out. With `rooms` of 1 only the soonest on paper is looked at.
 */
export function soonestSure(
  problem: Problem,
  placed: readonly PlacedOperation[],
  job: ProblemJob,
  { sure, rooms = ROOMINESS.length }: { sure: number; rooms?: number },
): SureSoonest {
  const whole = { ...problem, jobs: [...problem.jobs, job] }
  const others = placed.filter((operation) => operation.job !== job.id)
  const played = (operations: readonly PlacedOperation[], runs: number): Outcome =>
    playAll(whole, [...others, ...operations], {
      runs,
      seed: PROMISE_SEED,
      between: BETWEEN_PEOPLE,
      only: job.id,
    })

  const { soonest: onPaper, problem: by } = soonestBy(problem, placed, job)
  if (onPaper.kind === 'impossible') return onPaper
  const roomOf = roomsIn(whole, compileModel(whole), TOLERATED_MINUTES)
  const tried: Soonest[] = [
    onPaper,
    ...ROOMINESS.slice(1, rooms).map((roominess) =>
      soonestGreedy(by, placed, job, roomOf(problem.jobs.length, roominess)),
    ),
  ]
  const found = tried.flatMap((soonest) => (soonest.kind === 'possible' ? [soonest.operations] : []))
  const operations =
    found.length === 1
      ? onPaper.operations
      : leastBy(found, (each) => worthOf(played(each, RUNS_TO_CHOOSE), sure))
  return { kind: 'possible', operations, outcome: played(operations, RUNS) }
}

/** The first of those that are worth least; there is one at least. */
function leastBy<T>(all: readonly T[], worth: (each: T) => number): T {
  const worths = all.map(worth)
  return all[worths.indexOf(Math.min(...worths))]!
}

/** What a placement costs its car, minutes: when it is done with the chance asked for, windows lost, its promise broken. */
function worthOf({ jobs: [found], windows, runs }: Outcome, sure: number): number {
  const { job, ends } = found!
  const lost = windows.reduce((sum, { kept }) => sum + 1 - kept / runs, 0)
  const late = job.due === undefined ? 0 : 1 - shareBy(ends, job.due)
  return atShare(ends, sure) + LOST_MINUTES * lost + LATE_MINUTES * late
}

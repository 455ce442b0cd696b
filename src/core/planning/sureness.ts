import type { JobId, OperationId } from '../ids'
import type { Collecting } from '../offer'
import {
  chanceAt,
  eatersOf,
  type Outcome,
  type PlacedOperation,
  type PlacingReason,
  type Problem,
  type ProblemJob,
  shareBy,
  soonestSure,
} from '../schedule'
import type { Setup } from '../shop'
import { epochMinutes, type Instant } from '../time'
import { collectionTime } from './collection-time'

/** With which chance a shop keeps what it says. */

/** Beside what is promised, a time is told that hardly ever fails. */
const SURER = 0.95
const SUREST = 0.99

/** When a car could be fetched by what its job came to in many runs: the time to promise, and a surer one where that is another. */
export function collectingTimes(
  setup: Setup,
  { outcome, job }: { outcome: Outcome; job: ProblemJob['id'] },
): [promised: Collecting, ...surer: Collecting[]] {
  const { ends } = outcome.jobs.find((each) => each.job.id === job)!
  const at = (share: number): Collecting => {
    const time: Instant = collectionTime(setup, chanceAt(outcome, job, share)!.by)
    return { at: time, chance: shareBy(ends, epochMinutes(time) - outcome.play.model.originMinute) }
  }
  const promised = at(setup.sure)
  const surer = at(setup.sure < SURER ? SURER : SUREST)
  return surer.at > promised.at ? [promised, surer] : [promised]
}

/** A step time is mostly lost at: because it takes longer, or waits for its next shift. */
export type HangsOn = { job: JobId; operation: OperationId; waits: boolean }

/** So much later than planned a job has to be for its lateness to be looked into, minutes, and in so many runs. */
const LATER_MINUTES = 60
const RUNS_TO_BLAME = 150

export type Promisable =
  | {
      kind: 'possible'
      operations: PlacedOperation[]
      chances: [promised: Collecting, ...surer: Collecting[]]
      /** The step that mostly makes it later than it is planned: of this job, or of another it waits for. */
      hangsOn?: HangsOn
    }
  | { kind: 'impossible'; reason: PlacingReason }

/**
 * When one more job can be promised on a calendar that stands, and how it is placed for that. `rooms` says how many ways to keep room round
 * its work are tried, 1 for the soonest on paper alone.
 */
export function promiseFor(
  setup: Setup,
  { problem, operations }: { problem: Problem; operations: readonly PlacedOperation[] },
  job: ProblemJob,
  rooms?: number,
): Promisable {
  const found = soonestSure(problem, operations, job, { sure: setup.sure, ...(rooms ? { rooms } : {}) })
  if (found.kind === 'impossible') return found
  const { outcome } = found
  const chances = collectingTimes(setup, { outcome, job: job.id })
  const planned = outcome.jobs.find((each) => each.job.id === job.id)!.planned
  const whole = { ...problem, jobs: [...problem.jobs, job] }
  const [eater] = eatersOf(whole, outcome.play, [{ job: job.id, due: planned + LATER_MINUTES }], {
    runs: RUNS_TO_BLAME,
  }).get(job.id)!
  return {
    kind: 'possible',
    operations: found.operations,
    chances,
    ...(eater
      ? { hangsOn: { job: eater.step.job.id, operation: eater.step.operation.known, waits: eater.waits } }
      : {}),
  }
}

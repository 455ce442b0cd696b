import type { JobId } from '../../ids'
import type { Problem } from '../contract/problem'
import type { Step } from '../rehearse/order'
import type { Played } from '../rehearse/play'
import { type Play, playedRuns, type RehearseOptions } from '../rehearse/rehearse'

/** What a job waits for when it is late: which steps eat the time it had. */

export type Eater = {
  step: Step
  /** In which share of the runs in which the job is late it costs the most. */
  share: number
  /** Mostly because it no longer fitted where it was planned, and had to wait for the next shift. */
  waits: boolean
}

/** A job and by when it is to be done, minutes from the origin. */
export type Due = { job: JobId; due: number }

/** So far a lateness is gone back, steps. */
const LONGEST_TRACE = 200

/** When a step could have begun, were there a shift to do it in. */
function askedAt(step: Step, { behind }: Played, played: readonly Played[]): number {
  const link = behind === undefined ? undefined : step.after.find((each) => each.step === behind)
  return link ? played[link.step]!.to + link.wait : step.planned.from
}

/** Of the steps along which nothing could begin sooner, back from one that is late, the one that took longest beyond its time or waited longest. */
function worstBehind(steps: readonly Step[], played: readonly Played[], last: number) {
  let worst = { at: last, minutes: 0, waits: false }
  let at: number | undefined = last
  for (let traced = 0; at !== undefined && traced < LONGEST_TRACE; traced++) {
    const [step, run]: [Step, Played] = [steps[at]!, played[at]!]
    const longer = Math.max(0, run.to - run.from - (step.planned.to - step.planned.from))
    const waited = Math.max(0, run.from - askedAt(step, run, played))
    if (longer + waited > worst.minutes && step.people.length > 0)
      worst = { at, minutes: longer + waited, waits: waited > longer }
    at = run.behind
  }
  return worst
}

/**
 * The steps that eat the time of some jobs, those first that do so most often: in each run in which one ends after it is due, the step
 * is to blame that took longest beyond its time, or waited longest for its next shift, of all it waited for.
 */
export function eatersOf(
  problem: Problem,
  play: Play,
  dues: readonly Due[],
  options: RehearseOptions = {},
): Map<JobId, Eater[]> {
  const { steps } = play
  const watched = dues.map(({ job, due }) => ({
    job,
    due,
    last: steps.reduce(
      (best, step, at) =>
        step.job.id === job && step.planned.to >= (steps[best]?.planned.to ?? -1) ? at : best,
      -1,
    ),
    late: 0,
    blamed: new Map<number, { runs: number; waits: number }>(),
  }))
  for (const { played } of playedRuns(problem, play, options))
    for (const each of watched) {
      if (each.last < 0 || played[each.last]!.to <= each.due) continue
      each.late++
      const { at, waits } = worstBehind(steps, played, each.last)
      const known = each.blamed.get(at) ?? { runs: 0, waits: 0 }
      each.blamed.set(at, { runs: known.runs + 1, waits: known.waits + Number(waits) })
    }
  return new Map(
    watched.map(({ job, late, blamed }) => [
      job,
      [...blamed]
        .map(([at, { runs, waits }]) => ({ step: steps[at]!, share: runs / late, waits: waits > runs / 2 }))
        .sort((a, b) => b.share - a.share),
    ]),
  )
}

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
  /** Most of it because it no longer fitted where it was planned, and had to wait for the next shift. */
  waits: boolean
}

/** Back from the last step of a job to what began the wait. */
const LONGEST_TRACE = 200

/** When a step could have begun, were there a shift to do it in. */
function askedAt(step: Step, { behind }: Played, played: readonly Played[]): number {
  const link = behind === undefined ? undefined : step.after.find((each) => each.step === behind)
  return link ? played[link.step]!.to + link.wait : step.planned.from
}

/**
 * The steps that eat the time of a job, the most often greedy first: in each run in which it ends after `due`, minutes from the origin,
 * the steps are gone back along which nothing could begin sooner, and the one that took longest beyond its time, or waited longest for
 * its next shift, is to blame.
 */
export function eatersOf(
  problem: Problem,
  play: Play,
  { job, due, ...options }: { job: JobId; due: number } & RehearseOptions,
): Eater[] {
  const { steps } = play
  const last = steps.reduce(
    (best, step, index) =>
      step.job.id === job && step.planned.to >= (steps[best]?.planned.to ?? -1) ? index : best,
    -1,
  )
  const blamed = steps.map(() => 0)
  const waiting = steps.map(() => 0)
  let late = 0
  for (const { played } of playedRuns(problem, play, { ...options, only: job })) {
    if (last < 0 || played[last]!.to <= due) continue
    late++
    let worst = { at: last, minutes: 0, waited: 0 }
    let at: number | undefined = last
    for (let traced = 0; at !== undefined && traced < LONGEST_TRACE; traced++) {
      const [step, run]: [Step, Played] = [steps[at]!, played[at]!]
      const longer = Math.max(0, run.to - run.from - (step.planned.to - step.planned.from))
      const waited = Math.max(0, run.from - askedAt(step, run, played))
      if (longer + waited > worst.minutes && step.people.length > 0)
        worst = { at, minutes: longer + waited, waited }
      at = run.behind
    }
    blamed[worst.at]!++
    if (worst.waited > worst.minutes / 2) waiting[worst.at]!++
  }
  if (late === 0) return []
  return steps
    .map((step, index) => ({
      step,
      share: blamed[index]! / late,
      waits: waiting[index]! > blamed[index]! / 2,
    }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share)
}

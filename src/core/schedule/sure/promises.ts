import type { JobId } from '../../ids'
import type { Instant } from '../../time'
import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { atShare, momentOf, type Outcome, playAll, type RehearseOptions, shareBy } from '../rehearse/rehearse'

/** A time with the chance, 0–1, that something is done by then. */
export type Chance = { by: Instant; chance: number }

/** A time for a job with the chance that it holds. */
export type Promised = Chance & { job: JobId }

/** Another luck than that in which a plan was looked for: what is promised is not judged by its own advocate. */
export const PROMISE_SEED = 104_729

/**
 * How much people are taken to differ, whatever they do, from what is planned of them: nobody knows it of anybody beforehand, and who is slower makes all their cars
 * late (chosen on busy shops on which nothing is reported). A promise allows for it.
 */
export const BETWEEN_PEOPLE = 0.08

/** The earliest time by which a job is done in this share of the runs at least; nothing where it is not on the plan. */
export function chanceAt({ play, jobs }: Outcome, job: JobId, share: number): Chance | undefined {
  const found = jobs.find((each) => each.job.id === job)
  if (!found) return undefined
  const by = Math.ceil(atShare(found.ends, share))
  return { by: momentOf(play, by), chance: shareBy(found.ends, by) }
}

/** For every job of a plan, the earliest time that holds with a chance of `sure` (0–1). */
export function promisesOf(
  problem: Problem,
  placed: readonly PlacedOperation[],
  sure: number,
  options: RehearseOptions = {},
): Promised[] {
  const outcome = playAll(problem, placed, { seed: PROMISE_SEED, between: BETWEEN_PEOPLE, ...options })
  return outcome.jobs.map(({ job: { id } }) => ({ job: id, ...chanceAt(outcome, id, sure)! }))
}

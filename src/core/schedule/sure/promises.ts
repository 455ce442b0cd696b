import type { JobId } from '../../ids'
import type { Instant } from '../../time'
import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { atShare, momentOf, playAll, type RehearseOptions, shareBy } from '../rehearse/rehearse'

/** A time for a job with the chance that it holds. */
export type Promised = { job: JobId; by: Instant; chance: number }

/** Another luck than that in which a plan was looked for: what is promised is not judged by its own advocate. */
const PROMISE_SEED = 104_729

/** For every job of a plan, the earliest time that holds with a chance of `sure` (0–1). */
export function promisesOf(
  problem: Problem,
  placed: readonly PlacedOperation[],
  sure: number,
  options: RehearseOptions = {},
): Promised[] {
  const { play, jobs } = playAll(problem, placed, { seed: PROMISE_SEED, ...options })
  return jobs.map(({ job, ends }) => {
    const by = Math.ceil(atShare(ends, sure))
    return { job: job.id, by: momentOf(play, by), chance: shareBy(ends, by) }
  })
}

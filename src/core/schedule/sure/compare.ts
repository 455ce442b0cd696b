import type { JobId } from '../../ids'
import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { playAll, shareBy } from '../rehearse/rehearse'
import { BETWEEN_PEOPLE } from './promises'

/** What another plan does to the promises of the jobs that are due. */

/** The chance, 0–1, that a job is done by when it is due, by one plan and by another. */
export type ChanceChange = { job: JobId; before: number; after: number }

const RUNS = 200
/** A chance that differs by less has not changed: it is the luck of the runs. */
const DIFFERS_BY = 0.05

/** How likely each job that is due is done by then. */
export function chancesByDue(problem: Problem, placed: readonly PlacedOperation[]): Map<JobId, number> {
  const { jobs } = playAll(problem, placed, { runs: RUNS, between: BETWEEN_PEOPLE })
  return new Map(
    jobs.flatMap(({ job, ends }) => (job.due === undefined ? [] : [[job.id, shareBy(ends, job.due)]])),
  )
}

/** Jobs whose chance another plan changes, those that lose the most first. */
export function chanceChanges(
  before: ReadonlyMap<JobId, number>,
  after: ReadonlyMap<JobId, number>,
): ChanceChange[] {
  return [...after]
    .flatMap(([job, chance]): ChanceChange[] => {
      const was = before.get(job)
      return was === undefined || Math.abs(chance - was) < DIFFERS_BY
        ? []
        : [{ job, before: was, after: chance }]
    })
    .sort((a, b) => a.after - a.before - (b.after - b.before))
}

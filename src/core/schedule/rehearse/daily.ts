import type { JobId } from '../../ids'
import { atLocal, dayIn, type Instant, laterOf, minutesBetween, plusDays } from '../../time'
import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { seededRandom } from '../solver/random'
import { type LivedJob, LivedShop, type LuckOf } from './lived-shop'
import { drawLuck, type Luck } from './luck'
import {
  atShare,
  BEYOND_DAYS,
  playOf,
  type Rehearsal,
  type RehearseOptions,
  rehearsedWindow,
  TOLERATED_MINUTES,
  windowsOf,
} from './rehearse'

/** A rehearsal in which the rest is re-planned each morning. */

/** Whole weeks are lived through in each: fewer than of a plan that stands. */
export const RUNS_DAILY = 200

/** The factor on each operation in this luck, drawn in the order of the jobs of the problem. */
export function luckIn({ jobs }: Pick<Problem, 'jobs'>, luck: Luck): LuckOf {
  const factors = new Map<JobId, ReadonlyMap<string, number>>(
    jobs.map(({ id, operations }, job) => [
      id,
      new Map(operations.map((operation, index) => [operation.id, luck[job]![index]!])),
    ]),
  )
  return (job, operation) => factors.get(job)?.get(operation) ?? 1
}

const lastEnd = ({ operations }: LivedJob): Instant => operations.map(({ end }) => end).reduce(laterOf)

/** Whether a window of a job was kept as it was lived. */
function isKept({ operations }: LivedJob, from: string, to: string, max: number): boolean {
  const of = (id: string) => operations.find(({ operation }) => operation === id)!
  return minutesBetween(of(from).end, of(to).start) <= max
}

/**
 * Lives a schedule of a checked problem through again and again: what has begun is as it went, and at midnight of the problem’s time zone what no
 * longer stands is placed anew. Jobs that are not wholly on the schedule play no part. The same seed gives the same answer.
 */
export function rehearseDaily(
  problem: Problem,
  placed: readonly PlacedOperation[],
  { runs = RUNS_DAILY, seed = 1, early = false, tolerate = TOLERATED_MINUTES }: RehearseOptions = {},
): Rehearsal {
  const { steps } = playOf(problem, placed)
  const onPlan = new Set(steps.map(({ job }) => job.id))
  const jobs = problem.jobs.filter(({ id }) => onPlan.has(id))
  const windows = windowsOf(steps).map((window) => ({ window, kept: 0 }))
  const ends = new Map<JobId, Instant[]>(jobs.map(({ id }) => [id, []]))
  const zone = problem.timezone
  const last = plusDays(dayIn(zone, problem.origin), problem.horizonDays + BEYOND_DAYS)
  const random = seededRandom(seed)
  let allDue = 0
  for (let run = 0; run < runs; run++) {
    const shop = new LivedShop(problem, luckIn(problem, drawLuck(problem, random)), { early, tolerate })
    for (const job of jobs)
      shop.take(
        job,
        placed.filter((operation) => operation.job === job.id),
      )
    for (
      let day = plusDays(dayIn(zone, problem.origin), 1);
      !shop.isIdle && day <= last;
      day = plusDays(day, 1)
    ) {
      shop.goOn(atLocal(zone, day, '00:00'))
      shop.planAnew()
    }
    const lived = new Map(shop.lived().map((each) => [each.job.id, each]))
    // What is not over when all calendars end is late whatever comes.
    const endOf = (id: JobId) => (lived.has(id) ? lastEnd(lived.get(id)!) : atLocal(zone, last, '24:00'))
    for (const { id } of jobs) ends.get(id)!.push(endOf(id))
    for (const each of windows) {
      const { job, from, to, max } = each.window
      const own = lived.get(job)
      if (own && isKept(own, from, to, max)) each.kept++
    }
    if (jobs.every(({ id, due }) => due === undefined || endOf(id) <= due)) allDue++
  }
  const planned = new Map<JobId, Instant>()
  for (const { job, end } of placed) planned.set(job, laterOf(planned.get(job) ?? end, end))
  return {
    jobs: jobs.map(({ id, due }) => {
      const sorted = ends.get(id)!.toSorted()
      return {
        job: id,
        planned: planned.get(id)!,
        chanceByDue: due === undefined ? null : sorted.filter((end) => end <= due).length / runs,
        p50: atShare(sorted, 0.5),
        p80: atShare(sorted, 0.8),
        p95: atShare(sorted, 0.95),
      }
    }),
    windows: windows.map(({ window, kept }) => rehearsedWindow(window, kept / runs)),
    chanceAllDue: allDue / runs,
  }
}

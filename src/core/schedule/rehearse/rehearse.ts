import type { JobId, OperationId } from '../../ids'
import { fromEpochMinutes, type Instant } from '../../time'
import type { Interval } from '../contract/intervals'
import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { compileModel, type Model } from '../solver/model'
import { readPlacements } from '../solver/placements'
import { seededRandom } from '../solver/random'
import { spreadFactor } from './lognormal'
import { type Step, stepsInOrder } from './order'
import { playOut, type Rules } from './play'

/** What a plan is worth: played out many times, each with other luck. */

export type RehearseOptions = Partial<Rules> & {
  /** Whole numbers; 1000 runs of seed 1 where nothing is said. */
  runs?: number
  seed?: number
}

export type RehearsedJob = {
  job: JobId
  /** When it ends by the plan. */
  planned: Instant
  /** Share of the runs, 0–1, in which it is done by when it is due; null where it is not due. */
  chanceByDue: number | null
  /** When it is done in half, in 80 % and in 95 % of the runs at the latest. */
  p50: Instant
  p80: Instant
  p95: Instant
}

/** The time in which one step must follow another. */
export type RehearsedWindow = {
  job: JobId
  from: OperationId
  to: OperationId
  /** By how much the follower may be late in the plan, minutes. */
  slackMinutes: number
  chanceKept: number
}

export type Rehearsal = {
  jobs: RehearsedJob[]
  windows: RehearsedWindow[]
  /** Share of the runs in which every job that is due is done by then. */
  chanceAllDue: number
}

export const RUNS = 1000
/** Work that cannot be left may outrun the shift by so much, minutes. */
export const TOLERATED_MINUTES = 30
/** What runs late is played beyond the horizon of the plan, days (mem). */
const BEYOND_DAYS = 90

type Window = Pick<RehearsedWindow, 'job' | 'from' | 'to' | 'slackMinutes'> & {
  before: number
  after: number
  max: number
}

function windowsOf(steps: readonly Step[]): Window[] {
  return steps.flatMap(({ job, operation, planned, after }, index) =>
    job.links.flatMap((link): Window[] => {
      if (link.to !== operation.index || link.max === Number.POSITIVE_INFINITY) return []
      const before = after.find(
        ({ step }) => steps[step]!.job === job && steps[step]!.operation.index === link.from,
      )!
      const source = steps[before.step]!
      return [
        {
          job: job.id,
          from: source.operation.id,
          to: operation.id,
          slackMinutes: link.max - (planned.from - source.planned.to),
          before: before.step,
          after: index,
          max: link.max,
        },
      ]
    }),
  )
}

/** The number below which this share of a sorted list lies: the nearest rank (Hyndman and Fan 1996, type 1). */
const atShare = (sorted: readonly number[], share: number) =>
  sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)]!

/** When each job is done in one run, by its index. */
function endsOf(steps: readonly Step[], played: readonly Interval[]): Map<number, number> {
  const ends = new Map<number, number>()
  for (const [index, { job }] of steps.entries())
    ends.set(job.index, Math.max(ends.get(job.index) ?? Number.NEGATIVE_INFINITY, played[index]!.to))
  return ends
}

/** The luck of one run: a factor on each step, the same for the same operation of the problem whatever the plan. */
function luckOf(model: Model, problem: Problem, random: () => number): (step: Step) => number {
  const drawn = model.jobs.map(({ index, operations }) =>
    operations.map((_, at) => spreadFactor(random, problem.jobs[index]!.operations[at]!.spread ?? 0)),
  )
  return ({ job, operation }) => drawn[job.index]![operation.index]!
}

/**
 * Plays a schedule of a checked problem out again and again: attended work takes its minutes times a lognormal factor of mean 1, and what runs
 * over pushes what follows. Jobs that are not wholly on the schedule play no part. The same seed gives the same answer.
 */
export function rehearse(
  problem: Problem,
  placed: readonly PlacedOperation[],
  { runs = RUNS, seed = 1, early = false, tolerate = TOLERATED_MINUTES }: RehearseOptions = {},
): Rehearsal {
  const model = compileModel({ ...problem, horizonDays: problem.horizonDays + BEYOND_DAYS })
  const steps = stepsInOrder(model, readPlacements(model, placed))
  const windows = windowsOf(steps)
  const planned = endsOf(
    steps,
    steps.map((step) => step.planned),
  )
  const jobs = [...planned.keys()].sort((a, b) => a - b).map((index) => model.jobs[index]!)
  const ends = new Map(jobs.map(({ index }) => [index, [] as number[]]))
  const kept = windows.map(() => 0)
  let allDue = 0
  const random = seededRandom(seed)
  for (let run = 0; run < runs; run++) {
    const luck = luckOf(model, problem, random)
    const played = playOut(model, steps, steps.map(luck), { early, tolerate })
    const done = endsOf(steps, played)
    for (const { index } of jobs) ends.get(index)!.push(done.get(index)!)
    for (const [at, { before, after, max }] of windows.entries())
      if (played[after]!.from - played[before]!.to <= max) kept[at]!++
    if (jobs.every(({ index, due }) => due === undefined || done.get(index)! <= due)) allDue++
  }
  const moment = (minute: number) => fromEpochMinutes(model.originMinute + Math.ceil(minute))
  return {
    jobs: jobs.map(({ index, id, due }) => {
      const own = ends.get(index)!
      const sorted = own.toSorted((a, b) => a - b)
      return {
        job: id,
        planned: moment(planned.get(index)!),
        chanceByDue: due === undefined ? null : own.filter((end) => end <= due).length / runs,
        p50: moment(atShare(sorted, 0.5)),
        p80: moment(atShare(sorted, 0.8)),
        p95: moment(atShare(sorted, 0.95)),
      }
    }),
    windows: windows.map(({ job, from, to, slackMinutes }, at) => ({
      job,
      from,
      to,
      slackMinutes,
      chanceKept: kept[at]! / runs,
    })),
    chanceAllDue: allDue / runs,
  }
}

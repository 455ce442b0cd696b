import type { JobId, OperationId } from '../../ids'
import { fromEpochMinutes, type Instant } from '../../time'
import type { Interval } from '../contract/intervals'
import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { compileModel, type Model, type ModelJob } from '../solver/model'
import { readPlacements } from '../solver/placements'
import { seededRandom } from '../solver/random'
import { spreadFactor } from './lognormal'
import { drawLuck } from './luck'
import { type Step, stepsInOrder, upstreamOf } from './order'
import { type Played, playOut, type Rules } from './play'

/** What a plan is worth: played out many times, each with other luck. */

export type RehearseOptions = Partial<Rules> & {
  /** Whole numbers; 1000 runs of seed 1 where nothing is said. */
  runs?: number
  seed?: number
  /** Only this job is asked about, and only what it hangs on is played. */
  only?: JobId
  /** How much people differ from what is planned of them whatever they do, as a coefficient of variation; not at all where nothing is said. */
  between?: number
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
export const BEYOND_DAYS = 90

export type Window = Pick<RehearsedWindow, 'job' | 'from' | 'to' | 'slackMinutes'> & {
  before: number
  after: number
  max: number
}

export function windowsOf(steps: readonly Step[]): Window[] {
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
export const atShare = <T>(sorted: readonly T[], share: number): T =>
  sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)]!

/** When each job is done in one run, by its index. */
function endsOf(steps: readonly Step[], played: readonly Interval[]): Map<number, number> {
  const ends = new Map<number, number>()
  for (const [index, { job }] of steps.entries())
    ends.set(job.index, Math.max(ends.get(job.index) ?? Number.NEGATIVE_INFINITY, played[index]!.to))
  return ends
}

/** A plan as it is played. */
export type Play = { model: Model; steps: readonly Step[] }

/** The plan of a problem, its calendars long enough for what runs late. */
export function playOf(problem: Problem, placed: readonly PlacedOperation[], only?: JobId): Play {
  const model = compileModel({ ...problem, horizonDays: problem.horizonDays + BEYOND_DAYS })
  const steps = stepsInOrder(model, readPlacements(model, placed))
  const job = only === undefined ? undefined : model.jobs.find(({ id }) => id === only)
  return { model, steps: job ? upstreamOf(steps, job) : steps }
}

/** Who work together are as quick as they are on average. */
const paceOf = (people: readonly number[], paces: readonly number[]): number =>
  people.length === 0 ? 1 : people.reduce((sum, person) => sum + paces[person]!, 0) / people.length

/** Run after run of a plan, each with other luck. */
export function* playedRuns(
  problem: Problem,
  { model, steps }: Play,
  { runs = RUNS, seed = 1, early = false, tolerate = TOLERATED_MINUTES, between = 0 }: RehearseOptions,
): Generator<{ played: Played[]; factors: number[] }> {
  const random = seededRandom(seed)
  // Of its own, so that the work meets the same luck whoever does it.
  const ofPeople = seededRandom(seed + 1)
  const isSure = steps.map(
    ({ job, operation }) => !problem.jobs[job.index]!.operations[operation.index]!.spread,
  )
  for (let run = 0; run < runs; run++) {
    const luck = drawLuck(problem, random)
    const paces = model.personIds.map(() => spreadFactor(ofPeople, between))
    const factors = steps.map(({ job, operation, people }, at) =>
      isSure[at] ? 1 : luck[job.index]![operation.index]! * paceOf(people, paces),
    )
    yield { factors, played: playOut(steps, factors, { early, tolerate }) }
  }
}

/** What many runs of a plan came to. */
export type Outcome = {
  play: Play
  runs: number
  /** When each job that is wholly on the schedule ends by the plan, and in the runs, the soonest first; minutes from the origin. */
  jobs: { job: ModelJob; planned: number; ends: readonly number[] }[]
  windows: { window: Window; kept: number }[]
  /** Runs in which nothing that is due was late. */
  allDue: number
}

/** Plays a schedule of a checked problem out again and again. */
export function playAll(
  problem: Problem,
  placed: readonly PlacedOperation[],
  options: RehearseOptions = {},
): Outcome {
  const play = playOf(problem, placed, options.only)
  const { model, steps } = play
  const isAsked = (job: JobId) => options.only === undefined || options.only === job
  const windows = windowsOf(steps)
    .filter(({ job }) => isAsked(job))
    .map((window) => ({ window, kept: 0 }))
  const planned = endsOf(
    steps,
    steps.map((step) => step.planned),
  )
  const jobs = [...planned.keys()]
    .sort((a, b) => a - b)
    .map((index) => model.jobs[index]!)
    .filter(({ id }) => isAsked(id))
  const ends = new Map(jobs.map(({ index }) => [index, [] as number[]]))
  let runs = 0
  let allDue = 0
  for (const { played } of playedRuns(problem, play, options)) {
    runs++
    const done = endsOf(steps, played)
    for (const { index } of jobs) ends.get(index)!.push(done.get(index)!)
    for (const each of windows) if (isKept(each.window, played)) each.kept++
    if (jobs.every(({ index, due }) => due === undefined || done.get(index)! <= due)) allDue++
  }
  return {
    play,
    runs,
    jobs: jobs.map((job) => ({
      job,
      planned: planned.get(job.index)!,
      ends: ends.get(job.index)!.sort((a, b) => a - b),
    })),
    windows,
    allDue,
  }
}

export const isKept = (
  { before, after, max }: Pick<Window, 'before' | 'after' | 'max'>,
  played: readonly Interval[],
) => played[after]!.from - played[before]!.to <= max

/** A window as it is told, without what only the rehearsal knows of it. */
export const rehearsedWindow = (
  { job, from, to, slackMinutes }: Window,
  chanceKept: number,
): RehearsedWindow => ({ job, from, to, slackMinutes, chanceKept })

/** The share of sorted ends that lie by a minute. */
export const shareBy = (ends: readonly number[], by: number): number =>
  ends.length === 0 ? 0 : ends.filter((end) => end <= by).length / ends.length

/**
 * Plays a schedule of a checked problem out again and again: attended work takes its minutes times a lognormal factor of mean 1, and what runs
 * over pushes what follows. Jobs that are not wholly on the schedule play no part. The same seed gives the same answer.
 */
export function rehearse(
  problem: Problem,
  placed: readonly PlacedOperation[],
  options: RehearseOptions = {},
): Rehearsal {
  const { play, runs, jobs, windows, allDue } = playAll(problem, placed, options)
  const moment = (minute: number) => momentOf(play, minute)
  return {
    jobs: jobs.map(({ job: { id, due }, planned, ends }) => ({
      job: id,
      planned: moment(planned),
      chanceByDue: due === undefined ? null : shareBy(ends, due),
      p50: moment(atShare(ends, 0.5)),
      p80: moment(atShare(ends, 0.8)),
      p95: moment(atShare(ends, 0.95)),
    })),
    windows: windows.map(({ window, kept }) => rehearsedWindow(window, kept / runs)),
    chanceAllDue: allDue / runs,
  }
}

/** A minute of a play as a moment, up to the next whole one. */
export const momentOf = ({ model }: Play, minute: number): Instant =>
  fromEpochMinutes(model.originMinute + Math.ceil(minute))

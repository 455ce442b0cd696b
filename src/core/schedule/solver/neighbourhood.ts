import { type Draft, endOf, startOf } from './draft'
import type { ModelJob } from './model'
import type { Random } from './random'

/** Which jobs are taken off together, and in which order they are placed again. */

/** Most jobs taken off the calendar at once, but for those that have no place anyway. */
const REMOVE_MAX = 12
/** Jobs are taken to be this much nearer or farther than they are, so that not always the same go together. */
const NEARNESS_NOISE_MINUTES = 1500
/** Share of the attempts in which what holds a bay for longest is placed first, give or take the second. */
const LONGEST_FIRST = 0.8
const LENGTH_NOISE = 0.3

/** 0 for a job that holds a place it cannot leave, 1 for any other with something fixed, 2 for one free to move. */
export function freedom(job: ModelJob): number {
  if (!job.pinned) return 2
  const isPinned = (index: number) => job.operations[index]!.pin !== undefined
  const halfWay = job.stays.some((stay) => stay.operations.some(isPinned) && !stay.operations.every(isPinned))
  return halfWay ? 0 : 1
}

/** The jobs with no place, and some around a moment at which one job is in the shop, or should be. */
export function chooseJobs(draft: Draft, random: Random): ModelJob[] {
  const unplaced = draft.model.jobs.filter((job) => !draft.placed[job.index])
  const seed = unplaced.length > 0 && random() < 0.5 ? pick(unplaced, random) : pickSeed(draft, random)
  return jobsAround(draft, random, seed)
}

/** A job, those with no place, and some around a moment at which it is in the shop, or should be. */
export function jobsAround(draft: Draft, random: Random, seed: ModelJob): ModelJob[] {
  const jobs = draft.looseJobs
  const unplaced = jobs.filter((job) => !draft.placed[job.index])
  const count = 1 + Math.floor(random() * Math.min(REMOVE_MAX, jobs.length))
  const placed = draft.placed[seed.index]
  // It may have to go where it would be if nobody were in its way: anywhere from its arrival on.
  const from = Math.max(0, seed.arrive)
  const to = placed ? endOf(placed) : (seed.due ?? draft.model.horizon)
  const moment = from + random() * Math.max(0, to - from)
  const distance = (job: ModelJob): number => {
    if (job === seed) return -1
    const other = draft.placed[job.index]
    if (!other) return 0
    const away = Math.max(0, startOf(other) - moment, moment - endOf(other))
    return away + random() * NEARNESS_NOISE_MINUTES
  }
  return jobs
    .map((job) => ({ job, distance: distance(job) }))
    .sort((a, b) => a.distance - b.distance)
    .slice(0, count + unplaced.length)
    .map(({ job }) => job)
}

/** A job to begin with: every other time one that is late. */
function pickSeed(draft: Draft, random: Random): ModelJob {
  const jobs = draft.looseJobs
  if (random() < 0.5) return pick(jobs, random)
  const late = jobs.filter((job) => {
    const placed = draft.placed[job.index]
    return placed && job.due !== undefined && endOf(placed) > job.due
  })
  return pick(late.length > 0 ? late : jobs, random)
}

const pick = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)]!

/**
 * The order in which jobs are placed again: mostly those first that hold a bay for longest, since short ones find room
 * between them; else at random.
 */
export function shuffled(jobs: readonly ModelJob[], random: Random): ModelJob[] {
  const byLength = random() < LONGEST_FIRST
  const keys = new Map(
    jobs.map((job) => {
      const held = job.stays.reduce((sum, stay) => sum + stay.minutesAtLeast, 0)
      return [job, byLength ? -held * (1 + LENGTH_NOISE * (2 * random() - 1)) : random()]
    }),
  )
  return [...jobs].sort((a, b) => freedom(a) - freedom(b) || keys.get(a)! - keys.get(b)!)
}

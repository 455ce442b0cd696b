import type { Problem } from '../contract/problem'
import type { Model, ModelJob, ModelOperation } from '../solver/model'
import { type JobRoom, type LinkRoom, NO_ROOM, type Room } from '../solver/room'

/** How much room is kept round work that varies, where a window or the end of a shift hangs on it. */

/** In standard deviations of the minutes: behind work before the shift ends or the window closes, and before it. */
export type Roominess = { behind: number; before: number }

/** What people do before for another car is about so long, minutes (mem): it is not known when the room is set. */
const OTHER_WORK_MINUTES = 240

const isWindow = ({ max }: { max: number }) => max !== Number.POSITIVE_INFINITY

/** The longest open stretch in which an operation could lie, minutes. */
function longestStretch({ crewsFor }: Model, { stays }: ModelJob, operation: ModelOperation): number {
  let longest = 0
  for (const place of stays[operation.stay]!.places)
    for (const { open } of crewsFor(operation, place))
      for (const { from, to } of open) longest = Math.max(longest, to - from)
  return longest
}

/** What is known of a job before any room is chosen: by index of its operations. */
type Varying = {
  job: ModelJob
  spread: number
  deviation: number
  /** Standard deviation of its end, counted from the first of the windows it lies in. */
  chained: number
  inWindow: boolean
  /** Minutes that could be kept free behind it at most. */
  most: number
}[]

function varying(problem: Problem, model: Model, job: ModelJob): Varying {
  const windows = job.links.filter(isWindow)
  const variance: number[] = job.operations.map(() => 0)
  const own = job.operations.map(({ minutes, mode }, index) => {
    const spread = mode === 'unattended' ? 0 : (problem.jobs[job.index]!.operations[index]!.spread ?? 0)
    return { spread, deviation: spread * minutes }
  })
  for (const index of job.order ?? []) {
    const before = windows.filter(({ to }) => to === index).map(({ from }) => variance[from]!)
    variance[index] = Math.max(0, ...before) + own[index]!.deviation ** 2
  }
  return job.operations.map((operation, index) => ({
    job,
    ...own[index]!,
    chained: Math.sqrt(variance[index]!),
    inWindow: windows.some(({ from, to }) => from === index || to === index),
    most:
      operation.mode === 'solid' ? longestStretch(model, job, operation) - operation.minutes - model.slot : 0,
  }))
}

function roomOf(
  { spread, deviation, chained, inWindow, most }: Varying[number],
  { behind, before }: Roominess,
  tolerate: number,
): Room {
  if (spread === 0) return NO_ROOM
  const late = inWindow ? chained : Math.hypot(deviation, spread * OTHER_WORK_MINUTES)
  return {
    before: inWindow ? Math.round(before * spread * OTHER_WORK_MINUTES) : 0,
    over: Math.round(Math.max(0, Math.min(behind * late - tolerate, most))),
  }
}

/**
 * The rooms one could keep in a problem: for a job, how much goes round its operations and links with this roominess. Solid work may
 * outrun its shift by `tolerate` minutes without any.
 */
export function roomsIn(
  problem: Problem,
  model: Model,
  tolerate: number,
): (job: number, roominess: Roominess) => JobRoom {
  const known = model.jobs.map((job) => varying(problem, model, job))
  return (index, roominess) => {
    const operations = known[index]!
    const { links, operations: all } = model.jobs[index]!
    const opensChain = (to: number) => links.some((link) => link.from === to && isWindow(link))
    return {
      operations: operations.map((operation) => roomOf(operation, roominess, tolerate)),
      links: links.map((link): LinkRoom => {
        const { deviation } = operations[link.from]!
        if (!isWindow(link))
          return { behind: opensChain(link.to) ? Math.round(roominess.before * deviation) : 0, early: 0 }
        const early = all[link.to]!.mode === 'unattended' ? 0 : roominess.behind * deviation
        return { behind: 0, early: Math.round(Math.min(early, (link.max - link.min) / 2)) }
      }),
    }
  }
}

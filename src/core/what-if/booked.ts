import type { JobId } from '../ids'
import { everythingToPlan, type Floor, openJobs } from '../planning'
import { indexesOf, type PlacedOperation, type Problem, playedRuns, playOf, SureSolver } from '../schedule'
import { epochMinutes } from '../time'
import { type DoneCar, type Figures, figuresOf } from './figures'

/** What is booked, re-planned in a shop and played out. */

export type Booked =
  | { kind: 'planned'; placed: readonly PlacedOperation[]; cars: number; runs: Figures[] }
  /** Not all of it finds room as it stands: work that is late already, or windows that have closed. */
  | { kind: 'no-room' }
  | { kind: 'nothing' }

/** What each car leaves before its bay is paid, cents; absent where nothing is agreed yet. */
export type Earned = ReadonlyMap<JobId, number>

const RUNS = 200
/** Another luck than those in which plans are looked for and promises made. */
const SEED = 15_485_863
/** Attempts between two words of progress. */
const TURN = 25
const WEEK_MINUTES = 7 * 1440

/**
 * Plans as Re-plan does, with the same attempts of the same seed: what is found is the plan that would be found once the shop is like that.
 * Yields the share of it that is done, 0–1.
 */
export function* bookedIn(floor: Floor, earned: Earned): Generator<number, Booked> {
  if (openJobs(floor).length === 0) return { kind: 'nothing' }
  const { problem, ...options } = everythingToPlan(floor)
  const solver = new SureSolver(problem, options)
  while (!solver.done) {
    for (let step = 0; step < TURN && !solver.done; step++) solver.step()
    yield solver.steps / options.steps
  }
  const { status, operations } = solver.schedule()
  if (status === 'infeasible') return { kind: 'no-room' }
  const runs = runsOf(problem, operations, earned)
  return { kind: 'planned', placed: operations, cars: problem.jobs.length, runs }
}

type Minutes = { from: number; to: number }
const spanned = (all: readonly Minutes[]): Minutes => ({
  from: all.reduce((least, { from }) => Math.min(least, from), Number.POSITIVE_INFINITY),
  to: all.reduce((most, { to }) => Math.max(most, to), Number.NEGATIVE_INFINITY),
})

/** Plays the plan of a checked problem out. The luck of an operation is the same in every plan of the same jobs. What is past is not counted. */
function runsOf(problem: Problem, placed: readonly PlacedOperation[], earned: Earned): Figures[] {
  const play = playOf(problem, placed)
  const { jobs, originMinute } = play.model
  const steps = indexesOf(play.model, play.steps)
  const promised = new Map(
    problem.jobs.flatMap(({ id, due }) => (due ? [[id, epochMinutes(due) - originMinute]] : [])),
  )
  return [...playedRuns(problem, play, { runs: RUNS, seed: SEED })].map(({ played }) => {
    let last = 1
    const cars = jobs.map((job): DoneCar => {
      const runOf = (operation: number) => played[steps[job.index]![operation]!]!
      const { to: end } = spanned(job.operations.map(({ index }) => runOf(index)))
      const by = promised.get(job.id)
      const earnedCents = earned.get(job.id)
      last = Math.max(last, end)
      // What is at somebody else’s place takes no bay.
      const stays = job.stays.filter(({ holdShare }) => holdShare > 0)
      const inBays = stays.reduce((sum, { operations }) => {
        const { from, to } = spanned(operations.map(runOf))
        return sum + Math.max(0, to - Math.max(0, from))
      }, 0)
      return {
        untilDone: Math.max(0, end - Math.max(0, job.arrive)),
        inBays,
        ...(by === undefined ? {} : { late: end - by }),
        ...(earnedCents === undefined ? {} : { earnedCents }),
      }
    })
    return figuresOf(cars, last / WEEK_MINUTES)
  })
}

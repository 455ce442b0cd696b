import type { JobId, PersonId } from '../ids'
import type { StepName } from '../offer'
import {
  BETWEEN_PEOPLE,
  type Eater,
  eatersOf,
  type Outcome,
  type PlacedOperation,
  type Play,
  type Problem,
  playAll,
  shareBy,
} from '../schedule'
import { fromEpochMinutes, type Instant } from '../time'
import { isCounterOpen } from './collection-time'
import type { Floor } from './floor'
import { goingOn } from './going-on'
import type { NamedReason } from './named-reason'

/** What has been promised, watched: how likely each promise is to be kept as things stand. */

/** A step that makes cars late, as it is spoken of: whose it is, when it is planned, and whether it is lost for want of a shift. */
export type EaterTold = { plate: string; title: StepName; at: Instant; people: PersonId[]; waits: boolean }

export type Watched = {
  job: JobId
  plate: string
  promisedFor: Instant
  /** The chance, 0–1, that it is done by then. */
  chance: number
  /** It is less sure than the shop wants it, or for a time at which nobody can collect the car. */
  isAtRisk: boolean
  /** The counter has come to be closed at the time it is promised for. */
  isShut?: true
  /** When it is ready by the calendar, where that is after it was promised. */
  readyAt?: Instant
  /** Which step is mostly to blame when it is late: of this car, or of another it waits for. */
  eater?: EaterTold
}

/** A step that should have begun and has not. */
export type Behind = { job: JobId; plate: string; title: StepName; at: Instant }

export type Watch =
  | {
      kind: 'seen'
      chances: Record<JobId, number>
      atRisk: Watched[]
      /** The calendar can be kept to the minute. */
      isKept: boolean
      /** Where it cannot: what is late. */
      behind: Behind[]
    }
  | { kind: 'blocked'; reasons: NamedReason[] }

const RUNS = 1000
const RUNS_TO_BLAME = 150
/** By so little a promise may be less sure than the shop wants it: no warning is made of the luck of the runs. */
const NEARLY = 0.02

/** How every promise stands, by the calendar as it is, and which have become less sure than the shop wants them. */
export function watchPromises(floor: Floor): Watch {
  const calendar = goingOn(floor)
  if (calendar.kind === 'blocked') return calendar
  const { problem, operations } = calendar
  const outcome = playAll(problem, operations, { runs: RUNS, between: BETWEEN_PEOPLE })
  const promised = watchedIn(floor, outcome)
  const atRisk = blamed(
    floor,
    problem,
    outcome,
    promised.filter(({ isAtRisk }) => isAtRisk),
  )
  return {
    kind: 'seen',
    chances: Object.fromEntries(promised.map(({ job, chance }) => [job, chance])),
    atRisk: atRisk.sort((a, b) => a.chance - b.chance),
    isKept: calendar.isKept,
    behind: calendar.behind.flatMap((step) => behindIn(floor, step)),
  }
}

/** How the promise of one job stands; nothing where there is none to keep, or the calendar cannot be kept. */
export function watchPromise(floor: Floor, job: JobId): Watched | undefined {
  const calendar = goingOn(floor)
  if (calendar.kind === 'blocked') return undefined
  const { problem, operations } = calendar
  const outcome = playAll(problem, operations, { runs: RUNS, between: BETWEEN_PEOPLE, only: job })
  return blamed(floor, problem, outcome, watchedIn(floor, outcome))[0]
}

/** Every promise of which something was played, with its chance. */
function watchedIn({ jobs, shop }: Floor, outcome: Outcome): (Watched & { due: number })[] {
  return outcome.jobs.flatMap(({ job: { id, due }, planned, ends }) => {
    const entry = jobs.find(({ job }) => job.id === id)
    if (due === undefined || !entry?.agreement) return []
    const chance = shareBy(ends, due)
    const { promisedFor } = entry.agreement
    const isShut = !isCounterOpen(shop.setup, promisedFor)
    const isAtRisk = isShut || chance < shop.setup.sure - NEARLY
    const late = planned > due ? { readyAt: fromEpochMinutes(outcome.play.model.originMinute + planned) } : {}
    const shut = isShut ? { isShut } : {}
    return [{ job: id, plate: entry.job.vehicle.plate, promisedFor, chance, isAtRisk, ...shut, ...late, due }]
  })
}

/** The same with the step that is mostly to blame. */
function blamed(
  floor: Floor,
  problem: Problem,
  { play }: Outcome,
  promised: readonly (Watched & { due: number })[],
): Watched[] {
  const eaters = eatersOf(problem, play, promised, { runs: RUNS_TO_BLAME })
  return promised.map(({ due: _, ...watched }) => {
    const [first] = eaters.get(watched.job)!
    const eater = first && eaterIn(floor, play, first)
    return { ...watched, ...(eater ? { eater } : {}) }
  })
}

function behindIn(floor: Floor, { job, operation, start }: PlacedOperation): Behind[] {
  const entry = floor.jobs.find((each) => each.job.id === job)
  const step = entry?.live?.plan.operations.find(({ id }) => id === operation)
  return entry && step ? [{ job, plate: entry.job.vehicle.plate, title: step.title, at: start }] : []
}

/** A step as it is spoken of; nothing where its job is not known. */
export function eaterIn(floor: Floor, { model }: Play, { step, waits }: Eater): EaterTold | undefined {
  const entry = floor.jobs.find(({ job }) => job.id === step.job.id)
  const operation = entry?.live?.plan.operations.find(({ id }) => id === step.operation.known)
  if (!entry || !operation) return undefined
  return {
    plate: entry.job.vehicle.plate,
    title: operation.title,
    at: fromEpochMinutes(model.originMinute + Math.max(0, step.planned.from)),
    people: step.people.map((person) => model.personIds[person]!),
    waits,
  }
}

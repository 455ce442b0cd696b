import type { JobId, PersonId } from '../ids'
import type { StepName } from '../offer'
import { type Eater, eatersOf, type Play, type Problem, playAll, shareBy } from '../schedule'
import { fromEpochMinutes, type Instant } from '../time'
import type { Floor } from './floor'
import { dueOf } from './helps'
import { standing } from './moves'
import type { NamedReason } from './named-reason'

/** What has been promised, watched: how likely each promise is to be kept as things stand. */

export type Watched = {
  job: JobId
  plate: string
  promisedFor: Instant
  /** The chance, 0–1, that it is done by then. */
  chance: number
  /** Which step is mostly to blame when it is late: of this car, or of another it waits for. */
  eater?: { plate: string; title: StepName; at: Instant; people: PersonId[]; waits: boolean }
}

export type Watch =
  | { kind: 'seen'; chances: Record<JobId, number>; atRisk: Watched[] }
  | { kind: 'blocked'; reasons: NamedReason[] }

const RUNS = 400
const RUNS_TO_BLAME = 150
/** By so little a promise may be less sure than the shop wants it: no warning is made of the luck of the runs. */
const NEARLY = 0.02

/** How every promise stands, by the calendar as it is, and which have become less sure than the shop wants them. */
export function watchPromises(floor: Floor): Watch {
  const calendar = standing(floor)
  if (calendar.kind === 'blocked') return calendar
  const { problem, operations } = calendar
  const { jobs, play } = playAll(problem, operations, { runs: RUNS })
  const chances: Record<JobId, number> = {}
  for (const { job, ends } of jobs) if (job.due !== undefined) chances[job.id] = shareBy(ends, job.due)
  const risky = floor.jobs.filter(({ job }) => (chances[job.id] ?? 1) < floor.shop.setup.sure - NEARLY)
  const atRisk = watchedOf(floor, problem, play, risky, chances)
  return { kind: 'seen', chances, atRisk: atRisk.sort((a, b) => a.chance - b.chance) }
}

/** How the promise of one job stands; nothing where there is none to keep, or the calendar cannot be kept. */
export function watchPromise(floor: Floor, job: JobId): Watched | undefined {
  const calendar = standing(floor)
  if (calendar.kind === 'blocked') return undefined
  const { problem, operations } = calendar
  const { jobs, play } = playAll(problem, operations, { runs: RUNS, only: job })
  const [found] = jobs
  if (!found || found.job.due === undefined) return undefined
  const own = floor.jobs.filter((entry) => entry.job.id === job)
  return watchedOf(floor, problem, play, own, { [job]: shareBy(found.ends, found.job.due) })[0]
}

function watchedOf(
  floor: Floor,
  problem: Problem,
  play: Play,
  entries: Floor['jobs'],
  chances: Readonly<Record<JobId, number>>,
): Watched[] {
  const dues = entries.flatMap(({ job, agreement }) =>
    agreement ? [{ job: job.id, due: dueOf({ problem }, job.id) }] : [],
  )
  const eaters = eatersOf(problem, play, dues, { runs: RUNS_TO_BLAME })
  return entries.flatMap(({ job, agreement }): Watched[] => {
    const chance = chances[job.id]
    if (!agreement || chance === undefined) return []
    const first = eaters.get(job.id)?.[0]
    const { promisedFor } = agreement
    const known = first ? eaterIn(floor, play, first) : {}
    return [{ job: job.id, plate: job.vehicle.plate, promisedFor, chance, ...known }]
  })
}

/** A step as it is spoken of; nothing where its job is not known. */
function eaterIn(floor: Floor, { model }: Play, { step, waits }: Eater): Pick<Watched, 'eater'> {
  const entry = floor.jobs.find(({ job }) => job.id === step.job.id)
  const operation = entry?.live?.plan.operations.find(({ id }) => id === step.operation.known)
  if (!entry || !operation) return {}
  return {
    eater: {
      plate: entry.job.vehicle.plate,
      title: operation.title,
      at: fromEpochMinutes(model.originMinute + Math.max(0, step.planned.from)),
      people: step.people.map((person) => model.personIds[person]!),
      waits,
    },
  }
}

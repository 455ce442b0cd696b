import type { JobId, PersonId } from '../ids'
import type { StepName } from '../offer'
import { type Eater, eatersOf, type Play, playAll, shareBy } from '../schedule'
import { fromEpochMinutes, type Instant } from '../time'
import type { Floor } from './floor'
import { dueOf, type Help, helpsFor, type Risk, RUNS_TO_TRY, type Standing } from './helps'
import { standing } from './moves'
import type { NamedReason } from './named-reason'

/** What has been promised, watched: how likely each promise is to be kept as things stand, and what would help. */

export type Watched = {
  job: JobId
  plate: string
  promisedFor: Instant
  /** The chance, 0–1, that it is done by then. */
  chance: number
  /** Which step is mostly to blame when it is late: of this car, or of another it waits for. */
  eater?: { plate: string; title: StepName; at: Instant; people: PersonId[]; waits: boolean }
  /** What helps most first. */
  helps: Help[]
}

export type Watch =
  | { kind: 'seen'; chances: Record<JobId, number>; atRisk: Watched[] }
  | { kind: 'blocked'; reasons: NamedReason[] }

const RUNS = 400
/** By so little a promise may be less sure than the shop wants it: no warning is made of the luck of the runs. */
const NEARLY = 0.02

/** How every promise stands, by the calendar as it is, and what would help those that have become less sure than the shop wants them. */
export function watchPromises(floor: Floor): Watch {
  const calendar = standing(floor)
  if (calendar.kind === 'blocked') return calendar
  const { problem, operations } = calendar
  const outcome = playAll(problem, operations, { runs: RUNS })
  const chances: Record<JobId, number> = {}
  for (const { job, ends } of outcome.jobs)
    if (job.due !== undefined) chances[job.id] = shareBy(ends, job.due)
  const atRisk = floor.jobs.flatMap(({ job, agreement }): Watched[] => {
    const chance = chances[job.id]
    if (chance === undefined || !agreement || chance >= floor.shop.setup.sure - NEARLY) return []
    return [watched(floor, calendar, { job: job.id, promisedFor: agreement.promisedFor, chance })]
  })
  return { kind: 'seen', chances, atRisk: atRisk.sort((a, b) => a.chance - b.chance) }
}

function watched(floor: Floor, calendar: Standing, risk: Risk): Watched {
  const { problem, operations } = calendar
  const { play } = playAll(problem, operations, { runs: 1, only: risk.job })
  const due = dueOf(calendar, risk.job)
  const eaters = eatersOf(problem, play, { job: risk.job, due, runs: RUNS_TO_TRY })
  const plates = new Map<string, string>(floor.jobs.map(({ job }) => [job.id, job.vehicle.plate]))
  const entry = (id: string) => floor.jobs.find(({ job }) => job.id === id)
  const [first] = eaters
  const title =
    first &&
    entry(first.step.job.id)?.live?.plan.operations.find(({ id }) => id === first.step.operation.known)?.title
  return {
    ...risk,
    plate: plates.get(risk.job) ?? '',
    ...(first && title
      ? {
          eater: {
            plate: plates.get(first.step.job.id) ?? '',
            title,
            at: fromEpochMinutes(play.model.originMinute + Math.max(0, first.step.planned.from)),
            people: peopleOf(play, first),
            waits: first.waits,
          },
        }
      : {}),
    helps: helpsFor(floor, calendar, risk, eaters),
  }
}

const peopleOf = ({ model }: Play, { step }: Eater): PersonId[] =>
  step.people.map((person) => model.personIds[person]!)

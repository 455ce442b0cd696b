import type { JobId, PersonId } from '../ids'
import type { StepName } from '../offer'
import { isSubcontractor } from '../offer'
import {
  type Eater,
  eatersOf,
  type Outcome,
  openSpans,
  type PlacedOperation,
  type Problem,
  playAll,
  shareBy,
} from '../schedule'
import {
  atLocal,
  dayIn,
  epochMinutes,
  fromEpochMinutes,
  type Instant,
  type LocalDay,
  plusDays,
  plusMinutes,
} from '../time'
import type { Floor } from './floor'
import { standing } from './moves'
import type { NamedReason } from './named-reason'
import { type Outage, shopWithout } from './outage'
import { promiseFor } from './sureness'

/** What has been promised, watched: how likely each promise is to be kept as things stand, and what would help. */

/** What would make a promise surer. */
export type Help =
  /** Somebody stays longer, or comes in. */
  | { kind: 'stays'; person: PersonId; from: Instant; until: Instant; chance: number }
  /** Its own steps are moved, and nobody else's. */
  | { kind: 'moves'; chance: number }

export type Watched = {
  job: JobId
  plate: string
  promisedFor: Instant
  /** The chance, 0–1, that it is done by then. */
  chance: number
  /** Which step most of the time is lost at when it is late: of this car, or of another it waits for. */
  eater?: { plate: string; title: StepName; at: Instant; people: PersonId[]; waits: boolean }
  /** What helps most first. */
  helps: Help[]
}

export type Watch =
  | { kind: 'seen'; chances: Record<JobId, number>; atRisk: Watched[] }
  | { kind: 'blocked'; reasons: NamedReason[] }

const RUNS = 400
const RUNS_TO_TRY = 200
/** How long somebody is asked to stay, minutes, and the hours of a day off on which somebody might come in (mem). */
const STAYS_MINUTES = 90
const DAY_OFF = ['08:00', '12:00'] as const
/** A help that lifts the chance by less is none. */
const HELPS_BY = 0.04
const HELPS_MOST = 2
/** Steps whose people are asked. */
const EATERS_ASKED = 3

type Calendar = { problem: Problem; operations: readonly PlacedOperation[] }

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
    if (chance === undefined || !agreement || chance >= floor.shop.setup.sure - HELPS_BY / 2) return []
    return [watched(floor, calendar, { job: job.id, promisedFor: agreement.promisedFor, chance })]
  })
  return { kind: 'seen', chances, atRisk: atRisk.sort((a, b) => a.chance - b.chance) }
}

type Risk = Pick<Watched, 'job' | 'promisedFor' | 'chance'>

function watched(floor: Floor, calendar: Calendar, risk: Risk): Watched {
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

const peopleOf = ({ model }: Outcome['play'], { step }: Eater): PersonId[] =>
  step.people.map((person) => model.personIds[person]!)

const dueOf = ({ problem }: Calendar, job: JobId): number =>
  epochMinutes(problem.jobs.find(({ id }) => id === job)!.due!) - epochMinutes(problem.origin)

function helpsFor(floor: Floor, calendar: Calendar, risk: Risk, eaters: readonly Eater[]): Help[] {
  const { setup } = floor.shop
  const staying = asked(floor, calendar, risk, eaters).map((outage): Help => {
    const { people, calendars } = shopWithout({ ...setupCalendar(calendar), places: [] }, [outage])
    const problem = { ...calendar.problem, people, calendars }
    const { jobs } = playAll(problem, calendar.operations, { runs: RUNS_TO_TRY, only: risk.job })
    const { what, from, until } = outage
    return {
      kind: 'stays',
      person: what.id,
      from,
      until,
      chance: shareBy(jobs[0]!.ends, dueOf(calendar, risk.job)),
    }
  })
  const moved = movedAlone(calendar, risk.job, setup)
  return [...staying, ...(moved === undefined ? [] : [{ kind: 'moves' as const, chance: moved }])]
    .filter(({ chance }) => chance >= risk.chance + HELPS_BY)
    .sort((a, b) => b.chance - a.chance)
    .slice(0, HELPS_MOST)
}

const setupCalendar = ({ problem }: Calendar) => problem

type Stays = Outage & { what: { kind: 'extra'; id: PersonId } }

/** Who could be asked to stay or come in: those at whose steps the time is lost, on each day of theirs until the promise. */
function asked(
  floor: Floor,
  { problem }: Calendar,
  { promisedFor }: Risk,
  eaters: readonly Eater[],
): Stays[] {
  const zone = floor.shop.setup.region.timezone
  const people = new Set<PersonId>(
    eaters
      .slice(0, EATERS_ASKED)
      .flatMap(({ step }) => step.people.map((person) => problem.people[person]!.id)),
  )
  const days: LocalDay[] = []
  for (let day = dayIn(zone, floor.now); day <= dayIn(zone, promisedFor); day = plusDays(day, 1))
    days.push(day)
  return [...people]
    .filter((person) => !isSubcontractor(person))
    .flatMap((person) => days.flatMap((day) => longerOn(problem, zone, person, day) ?? []))
    .filter(({ from }) => from >= floor.now)
}

function longerOn(problem: Problem, zone: string, person: PersonId, day: LocalDay): Stays | undefined {
  const calendar = problem.calendars[problem.people.find(({ id }) => id === person)!.calendar]!
  const midnight = (on: LocalDay) => atLocal(zone, on, '00:00')
  const spans = openSpans(calendar, zone, midnight(day), midnight(plusDays(day, 1)))
  const end = spans.at(-1)?.to
  const [from, until] = end
    ? [end, plusMinutes(end, STAYS_MINUTES)]
    : [atLocal(zone, day, DAY_OFF[0]), atLocal(zone, day, DAY_OFF[1])]
  return { id: `${person} ${day}`, what: { kind: 'extra', id: person }, from, until }
}

/** The chance if only the steps of this car were moved, everybody else staying where they are; nothing where they find no other place. */
function movedAlone(calendar: Calendar, job: JobId, setup: Floor['shop']['setup']): number | undefined {
  const found = placedAnew(calendar, job, setup)
  if (!found) return undefined
  const { jobs } = playAll(calendar.problem, found, { runs: RUNS_TO_TRY, only: job })
  return shareBy(jobs[0]!.ends, dueOf(calendar, job))
}

/** The calendar with one car placed anew so that it is done soonest with the chance the shop wants; the others stay. */
export function placedAnew(
  { problem, operations }: Calendar,
  job: JobId,
  setup: Floor['shop']['setup'],
): PlacedOperation[] | undefined {
  const own = problem.jobs.find(({ id }) => id === job)
  if (!own) return undefined
  const others = operations.filter((each) => each.job !== job)
  const beside = {
    problem: { ...problem, jobs: problem.jobs.filter((each) => each !== own) },
    operations: others,
  }
  const found = promiseFor(setup, beside, own)
  return found.kind === 'impossible' ? undefined : [...others, ...found.operations]
}

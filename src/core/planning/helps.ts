import { isSaidMore } from '../chance'
import type { JobId, PersonId } from '../ids'
import { type Collecting, isSubcontractor } from '../offer'
import {
  BETWEEN_PEOPLE,
  type Eater,
  eatersOf,
  type Outcome,
  openSpans,
  type PlacedOperation,
  type Problem,
  playAll,
  shareBy,
} from '../schedule'
import type { Setup } from '../shop'
import { atLocal, dayIn, type Instant, type LocalDay, plusDays, plusMinutes } from '../time'
import { isCounterOpen } from './collection-time'
import type { Floor } from './floor'
import { goingOn } from './going-on'
import type { Standing } from './moves'
import { type Outage, shopWithout } from './outage'
import { collectingTimes, promiseAnew } from './sureness'

/** What would make a promise surer: tried out on the calendar as it stands, with the chance it would then have. */

type Staying = { kind: 'stays' | 'comes-in'; person: PersonId; from: Instant; until: Instant }

export type Help =
  /** Somebody stays longer, or comes in on a day off. */
  | (Staying & { chance: number })
  /** Its own steps are moved, and nobody else's. */
  | { kind: 'moves'; chance: number }

/** What can be done for a promise: what helps it, the most first, and else when the car is ready as surely as the shop wants it. */
export type Advice = { helps: Help[]; instead?: Collecting }

const RUNS_TO_TRY = 200
/** How long somebody is asked to stay, minutes, and the hours of a day off on which somebody might come in (mem). */
const STAYS_MINUTES = 90
const DAY_OFF = ['08:00', '12:00'] as const
/** A help that lifts the chance by less is none: it is the luck of the runs. */
const HELPS_BY = 0.04
const HELPS_MOST = 2
/** Steps whose people are asked, and how many such questions are tried. */
const EATERS_ASKED = 3
const ASKED_MOST = 8

/** What can be done for the promise of a job; nothing where nothing helps, or there is no promise to keep. */
export function adviceFor(floor: Floor, job: JobId): Advice {
  const calendar = goingOn(floor)
  const agreement = floor.jobs.find((each) => each.job.id === job)?.agreement
  const stands = calendar.kind === 'open' ? chanceIn(calendar, job) : undefined
  if (calendar.kind === 'blocked' || !agreement || !stands) return { helps: [] }
  const [instead] = collectingTimes(floor.shop.setup, stands.outcome, job)
  // No hour of anybody opens the counter.
  if (!isCounterOpen(floor.shop.setup, agreement.promisedFor)) return { helps: [], instead }
  const { outcome, due, chance } = stands
  const eaters = eatersOf(calendar.problem, outcome.play, [{ job, due }], { runs: RUNS_TO_TRY }).get(job)!
  const helps = asked(floor, calendar, agreement, eaters).flatMap((staying): Help[] => {
    const more = chanceIn({ ...calendar, problem: withMore(calendar.problem, staying) }, job)
    return more ? [{ ...staying, chance: more.chance }] : []
  })
  const moved = placedAnew(calendar, job, floor.shop.setup)
  if (moved) helps.push({ kind: 'moves', chance: moved.chance })
  return {
    helps: helps
      .filter((help) => help.chance >= chance + HELPS_BY && isSaidMore(help.chance, chance))
      .sort((a, b) => b.chance - a.chance)
      .slice(0, HELPS_MOST),
    ...(instead.at > agreement.promisedFor ? { instead } : {}),
  }
}

/** The chance that a job is done by when it is due; nothing where it is not due, or not wholly on the calendar. */
function chanceIn(
  { problem, operations }: Standing,
  job: JobId,
): { outcome: Outcome; due: number; chance: number } | undefined {
  const outcome = playAll(problem, operations, {
    runs: RUNS_TO_TRY,
    between: BETWEEN_PEOPLE,
    only: job,
  })
  const [own] = outcome.jobs
  return own?.job.due === undefined
    ? undefined
    : { outcome, due: own.job.due, chance: shareBy(own.ends, own.job.due) }
}

/** The same problem with somebody there beyond their shift. */
function withMore(problem: Problem, { person, from, until }: Staying): Problem {
  const outage: Outage = { id: person, what: { kind: 'extra', id: person }, from, until }
  const { people, calendars } = shopWithout({ ...problem, places: [] }, [outage])
  return { ...problem, people, calendars }
}

/** Who could be asked to stay or come in: those at whose steps the time is lost, on each of their days until the promise. */
function asked(
  floor: Floor,
  { problem }: Standing,
  { promisedFor }: { promisedFor: Instant },
  eaters: readonly Eater[],
): Staying[] {
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
    .flatMap((person) => days.map((day) => longerOn(problem, zone, person, day)))
    .filter(({ from }) => from >= floor.now)
    .slice(0, ASKED_MOST)
}

function longerOn(problem: Problem, zone: string, person: PersonId, day: LocalDay): Staying {
  const calendar = problem.calendars[problem.people.find(({ id }) => id === person)!.calendar]!
  const midnight = (on: LocalDay) => atLocal(zone, on, '00:00')
  const end = openSpans(calendar, zone, midnight(day), midnight(plusDays(day, 1))).at(-1)?.to
  if (end) return { kind: 'stays', person, from: end, until: plusMinutes(end, STAYS_MINUTES) }
  const [from, until] = DAY_OFF.map((clock) => atLocal(zone, day, clock))
  return { kind: 'comes-in', person, from: from!, until: until! }
}

/** The calendar with one car placed anew, the others where they are, so that it is in time more surely; nothing where that cannot be. */
export function placedAnew(
  calendar: Standing,
  job: JobId,
  setup: Setup,
): { operations: PlacedOperation[]; chance: number } | undefined {
  const before = chanceIn(calendar, job)
  const found = before && promiseAnew(setup, calendar, job)
  if (!before || !found || found.kind === 'impossible') return undefined
  const others = calendar.operations.filter((each) => each.job !== job)
  const operations = [...others, ...found.operations]
  const after = chanceIn({ ...calendar, operations }, job)
  return after && after.chance > before.chance ? { operations, chance: after.chance } : undefined
}

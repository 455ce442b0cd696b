import { offered } from '../correction'
import type { PersonId } from '../ids'
import type { Collecting, JobPlan, StepName } from '../offer'
import {
  eatersOf,
  type PlacedOperation,
  type ProblemJob,
  type ScheduleReason,
  soonestGreedy,
} from '../schedule'
import { setTime } from '../supply'
import { dayIn, type Instant, type LocalDay, laterOf, plusDays, weekdayOf } from '../time'
import { type Shape, sizeOf, type VehicleSize } from '../vehicle'
import { methodHere } from '../wash'
import { enquiryOffer, inAnyIndoorBay, type ToldState, washedInside, withExtraDay } from './enquiry'
import { calendarNow, type Floor } from './floor'
import { goingOn } from './going-on'
import type { Standing } from './moves'
import type { NamedReason } from './named-reason'
import { newJob } from './new-job'
import { planningProblem } from './shop-problem'
import { type Promisable, promiseFor } from './sureness'
import { eaterIn } from './watch'

/** What a caller is told: when a car nobody has seen yet could be fetched, with nobody moved who was promised. */

export type Enquiry = { shape: Shape; state: ToldState; packageKey: string; arrive: Instant }

/** How the car is taken in: as usual, or one of the ways that may be sooner and cost the shop something. */
export type WayIn =
  | { kind: 'usual' }
  | { kind: 'washed-inside' }
  | { kind: 'extra-day'; day: LocalDay; person: PersonId }
  | { kind: 'any-bay' }

export type Collection = {
  way: WayIn
  collectAt: Instant
  /** With which chance it is ready then, and when more surely. */
  chances: readonly Collecting[]
  plan: JobPlan
  operations: PlacedOperation[]
  /** The step at which time is mostly lost, and whether that is for want of a shift; with the car it belongs to where that is another. */
  hangsOn?: { title: StepName; waits: boolean; other?: { plate: string; at: Instant } }
}

export type EnquiryAnswer =
  | {
      kind: 'promise'
      totalCents: number
      usual: Collection
      /** Ways that are sooner, the soonest first; at most two. */
      sooner: Collection[]
      /** Kinds of ways that were tried and would win nothing. */
      noSooner: WayIn['kind'][]
    }
  | { kind: 'impossible'; plan: JobPlan; reasons: ScheduleReason[]; sooner: Collection[] }
  /** The calendar as it stands cannot be kept, so nothing honest can be promised on it. */
  | { kind: 'blocked'; reasons: NamedReason[] }
  | { kind: 'no-package' }

const SOONER_MOST = 2
/** Saturdays on which somebody might come in, from the arrival on. */
const SATURDAYS = 2

/** The operations, links and stays of a plan as the scheduler takes them, beside an empty shop. */
function problemJob(floor: Floor, plan: JobPlan, arrive: Instant, size: VehicleSize): ProblemJob {
  const { problem } = planningProblem({ ...calendarNow(floor), closures: [] }, [newJob(plan, arrive, size)], {
    now: floor.now,
  })
  return problem.jobs[0]!
}

/** A way in that is tried: on which calendar, and with which job. */
type Tried = { way: WayIn; calendar: Standing; plan: JobPlan; job: ProblemJob }

/** When a car could be collected that comes in one way. Exceptions are placed as they would be on paper: they are only told of. */
function collectionOf(
  floor: Floor,
  { way, calendar, plan, job }: Tried,
): Collection | { reason: ScheduleReason } {
  const found = promiseFor(floor.shop.setup, calendar, job, way.kind === 'usual' ? undefined : 1)
  if (found.kind === 'impossible') return found
  const { chances, operations } = found
  return {
    way,
    collectAt: chances[0].at,
    chances,
    plan,
    operations,
    ...(way.kind === 'usual' ? hangsOn(floor, found, calendar, { job, plan }) : {}),
  }
}

/** So much later than planned a car has to be for its lateness to be looked into, minutes, and in so many runs. */
const LATER_MINUTES = 60
const RUNS_TO_BLAME = 150

/** The step that mostly makes a car later than it is planned: its own, or one it waits for. */
function hangsOn(
  floor: Floor,
  { outcome }: Extract<Promisable, { kind: 'possible' }>,
  { problem }: Standing,
  { job, plan }: Pick<Tried, 'job' | 'plan'>,
): Pick<Collection, 'hangsOn'> {
  const { planned } = outcome.jobs[0]!
  const whole = { ...problem, jobs: [...problem.jobs, job] }
  const late = { job: job.id, due: planned + LATER_MINUTES }
  const [eater] = eatersOf(whole, outcome.play, [late], { runs: RUNS_TO_BLAME }).get(job.id)!
  if (!eater) return {}
  if (eater.step.job.id !== job.id) {
    const other = eaterIn(floor, outcome.play, eater)
    return other ? { hangsOn: { title: other.title, waits: other.waits, other } } : {}
  }
  const step = plan.operations.find(({ id }) => id === eater.step.operation.known)
  return step ? { hangsOn: { title: step.title, waits: eater.waits } } : {}
}

/** Of ways of one kind the one that is done soonest on paper; nothing where none is possible. */
function soonestOf(tried: readonly Tried[]): Tried | undefined {
  let best: { end: Instant; each: Tried } | undefined
  for (const each of tried) {
    const found = soonestGreedy(each.calendar.problem, each.calendar.operations, each.job)
    if (found.kind === 'possible' && (!best || found.end < best.end)) best = { end: found.end, each }
  }
  return best?.each
}

/** Days on which one person more might come in: the next Saturdays, for those of the house who are not there then. */
function extraDays(floor: Floor, arrive: Instant): { day: LocalDay; person: PersonId }[] {
  const { setup } = floor.shop
  const first = dayIn(setup.region.timezone, arrive)
  const saturdays = Array.from({ length: 7 * SATURDAYS }, (_, ahead) => plusDays(first, ahead)).filter(
    (day) => weekdayOf(day) === 'sat',
  )
  return saturdays.flatMap((day) =>
    setup.people.flatMap(({ id, calendar }) => {
      const shifts = setup.calendars[calendar]!
      const isThere = 'always' in shifts || (shifts.weekly.sat?.length ?? 0) > 0
      return isThere ? [] : [{ day, person: id }]
    }),
  )
}

/** Answers a caller from the calendar as it stands at this moment; nothing is kept. */
export function answerCaller(floor: Floor, { shape, state, packageKey, arrive }: Enquiry): EnquiryAnswer {
  const { setup, catalogue } = floor.shop
  const template = setup.packages.find(({ key }) => key === packageKey)
  if (!template) return { kind: 'no-package' }
  const calendar = goingOn(floor)
  if (calendar.kind === 'blocked') return { kind: 'blocked', reasons: calendar.reasons }
  const { school, vendors, rates, pace } = setup
  const methods = offered(setup.methods)
  const offer = enquiryOffer(template, {
    shape,
    state,
    school,
    catalogue,
    vendors,
    rates,
    pace,
    methods,
    polishing: setup.polishing,
    rinseless: methodHere(setup.wash) === 'rinseless',
    ...setTime(setup.supplies),
  })
  const { plan } = offer
  const from = laterOf(arrive, floor.now)
  const size = sizeOf({ shape })
  const tried = (way: WayIn, changed: JobPlan = plan, on: Standing = calendar): Tried => ({
    way,
    calendar: on,
    plan: changed,
    job: problemJob(floor, changed, from, size),
  })

  const usual = collectionOf(floor, tried({ kind: 'usual' }))
  const days = extraDays(floor, from).map(({ day, person }) =>
    tried({ kind: 'extra-day', day, person }, plan, {
      ...calendar,
      problem: withExtraDay(calendar.problem, person, day),
    }),
  )
  const more = setup.places.some(({ kinds }) => kinds.includes('indoor') && !kinds.includes('studio'))
  const inside = washedInside(plan)
  const ways = [
    inside === plan ? [] : [tried({ kind: 'washed-inside' }, inside)],
    days,
    more ? [tried({ kind: 'any-bay' }, inAnyIndoorBay(plan))] : [],
  ].flatMap((of): Collection[] => {
    const soonest = soonestOf(of)
    const found = soonest && collectionOf(floor, soonest)
    return found && !('reason' in found) ? [found] : []
  })
  const limit = 'reason' in usual ? undefined : usual.collectAt
  const sooner = ways
    .filter(({ collectAt }) => limit === undefined || collectAt < limit)
    .sort((a, b) => (a.collectAt < b.collectAt ? -1 : 1))
    .slice(0, SOONER_MOST)
  if ('reason' in usual) return { kind: 'impossible', plan, reasons: [usual.reason], sooner }
  return {
    kind: 'promise',
    totalCents: offer.price.totalCents,
    usual,
    sooner,
    noSooner: ways.filter((way) => !sooner.includes(way)).map(({ way }) => way.kind),
  }
}

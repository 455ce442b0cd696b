import type { LiveJob } from '../job'
import {
  checkSchedule,
  makeWay,
  type PlacedOperation,
  planChanges,
  putBack,
  type ScheduleReason,
  scheduleFrom,
} from '../schedule'
import { minutesBetween } from '../time'
import { calendarNow, type Floor, openJobs } from './floor'
import { overdueSteps, withNeighbours } from './near-cars'
import { joinParts } from './parts'
import {
  CHURN_PER_STEP,
  PLAN_ALL_STEPS,
  type Planned,
  planAround,
  planFloor,
  planOfOthers,
} from './plan-floor'
import type { PlanningOptions } from './planning-options'
import { planningProblem, type ShopCalendar } from './shop-problem'
import { FIRST_SURE_MARK } from './sure-marks'

/** Plans for an event, such as somebody who is ill: as few cars as can be are told another time. */

/** Attempts on paper with the cars that are touched alone, and with each set of more that may move. */
const FEW_STEPS = 30
const SOME_STEPS = 100
/** And to make what is moved surer, once it is known what that is. */
const SURER_STEPS = 60
/** In an event it counts so many times as much to move what people were told as when everything is re-planned (mem). */
const EVENT_CHURN = 10 * CHURN_PER_STEP
/** Lateness for which nobody beyond a few is told another time, minutes: its customer is called instead (mem). */
const WORTH_A_CALL = 240
/** To tell one more customer another time is worth so much lateness, minutes (mem). */
const WORTH_TELLING = 120
const A_WEEK = 7 * 1440

/**
 * First only the cars that are touched may move, then a few others beside them, then all their neighbours on the same people and in the same places,
 * then the neighbours of those, then all, until a plan is found that breaks no promise more. What need not have moved is put back, and what does
 * move is made as sure as may be. What is promised is as it was `before` the event. An event is no occasion to plan everything better: that is
 * what re-planning is for.
 */
export function planFor(
  floor: Floor,
  of: ReadonlySet<string>,
  shouldStop: () => boolean = () => false,
  before: Floor = floor,
): Planned {
  const jobs = openJobs(floor)
  const [calendar, { now }] = [calendarNow(floor), floor]
  const touched = new Set([...of, ...overdueSteps(jobs, now).map(({ job }) => job)])
  const kept = planOfOthers(floor, jobs, touched)
  const near = withNeighbours(jobs, touched)
  const sets = [touched, near, withNeighbours(jobs, near), undefined]
  const told = jobs.flatMap(({ published }) => published)
  const late = (placed: readonly PlacedOperation[]) => together(latenessIn(jobs, placed))

  // What is given up before more than the neighbours are moved: at first what costs nobody anything, then the window of a layer that nobody can
  // keep any more, then what somebody has pinned. Of that the first reasons are kept: they are what the manager must know.
  const freely: PlanningOptions = { now, coatAfterDamp: true, movesOut: touched }
  const givingUp: PlanningOptions[] = [
    { ...freely, letWindowsGo: true },
    ...(jobs.some(({ pinned }) => pinned) ? [{ ...freely, letWindowsGo: true, letPinsGo: true }] : []),
  ]
  // What could not be done by a car that is alone in the shop cannot be done by making way for it: no time is lost with that.
  const alone = jobs.filter(({ id }) => touched.has(id)).map((job) => planAlone(calendar, job, freely))
  const ownReasons = alone.flatMap((each) => each.reasons)
  // A car that is needed sooner now was not late by what it was promised then.
  const lateAnyway = laterOfBoth(
    latenessIn(openJobs(before), told),
    latenessIn(
      jobs,
      alone.flatMap(({ placed }) => placed),
    ),
  )
  const allowed = together(lateAnyway)
  /** What is late, beyond what would be anyway, and telling others another time come to, minutes. */
  const worth = ({ placed }: Planned): number => {
    const { cars, minutes } = late(placed)
    const others = planChanges(told, placed, {}).filter(({ job }) => !touched.has(job)).length
    return WORTH_A_CALL * cars + minutes + WORTH_TELLING * others
  }
  const isEnough = ({ cars, minutes }: Lateness) =>
    cars <= allowed.cars && minutes <= allowed.minutes + WORTH_A_CALL
  const views: PlanningOptions[] =
    ownReasons.length > 0
      ? givingUp
      : [{ now }, ...(calendar.damp?.length ? [{ now, coatAfterDamp: true }] : []), freely, ...givingUp]
  let reasons = ownReasons
  for (const view of views) {
    const givesUp = view.letWindowsGo ?? false
    let best: Planned | undefined
    let last: Planned | undefined
    const consider = (planned: Planned) => {
      if (!best || worth(planned) < worth(best)) best = planned
      return isEnough(late(planned.placed))
    }
    for (const [at, movable] of sets.entries()) {
      // More than the neighbours only where that may spare a promise.
      if (at > 1 && !last) break
      const planned = planFloor(calendar, jobs, movable ? { ...view, movable } : view, {
        steps: at === 0 ? FEW_STEPS : SOME_STEPS,
        onPaper: 1,
        standing: last?.schedule.operations ?? kept,
        perStep: EVENT_CHURN,
        shouldStop: at > 1 ? shouldStop : undefined,
      })
      if (planned.schedule.status !== 'infeasible') {
        last = planned
        if (consider(planned)) break
      } else if (!givesUp) reasons = planned.schedule.reasons
      const few = at === 0 && fewMakeWay(floor, jobs, view, { touched, kept, allowed })
      if (few && consider(few)) break
      // However slow the machine: that only the neighbours make way is tried before a promise is given up, and all before one is by a week.
      const isNear = best && late(best.placed).minutes <= allowed.minutes + A_WEEK
      if (at > 0 && isNear && shouldStop()) break
    }
    if (!best) continue
    const least = movedLeast(floor, jobs, view, best)
    const moved = planChanges(told, least.placed, {}).map(({ job }) => job as string)
    const surer = planFloor(
      calendar,
      jobs,
      { ...view, movable: new Set([...touched, ...moved]) },
      {
        steps: SURER_STEPS,
        onPaper: 0,
        standing: least.schedule.operations,
        perStep: EVENT_CHURN,
        shouldStop,
      },
    )
    const found =
      surer.schedule.status === 'infeasible' || isLaterThan(late(surer.placed), late(least.placed))
        ? least
        : surer
    return givesUp ? { ...found, schedule: { ...found.schedule, reasons } } : found
  }
  return planAround(floor, undefined, PLAN_ALL_STEPS, shouldStop, () => kept)
}

/** How a car could be planned if it were alone in the shop, and why not where a window of it has to be given up even then. */
function planAlone(
  calendar: ShopCalendar,
  job: LiveJob,
  view: PlanningOptions,
): { placed: PlacedOperation[]; reasons: ScheduleReason[] } {
  const strict = planFloor(calendar, [job], view)
  if (strict.schedule.status !== 'infeasible') return { placed: strict.placed, reasons: [] }
  const { placed } = planFloor(calendar, [job], { ...view, letWindowsGo: true })
  return { placed, reasons: strict.schedule.reasons }
}

/** The plan with those cars put back that need not have moved, and so about as good. */
function movedLeast(floor: Floor, jobs: readonly LiveJob[], view: PlanningOptions, plan: Planned): Planned {
  const calendar = calendarNow(floor)
  const viewed = planningProblem(calendar, jobs, view)
  const operations = putBack(viewed.problem, plan.schedule.operations, {
    told: jobs.flatMap(({ published }) => published),
    sure: calendar.sure ?? FIRST_SURE_MARK,
  })
  return asPlanned(viewed, operations)
}

/** The plan in which a few other cars make way for those that are touched; nothing where a few do not help. */
function fewMakeWay(
  floor: Floor,
  jobs: readonly LiveJob[],
  view: PlanningOptions,
  {
    touched,
    kept,
    allowed,
  }: { touched: ReadonlySet<string>; kept: readonly PlacedOperation[]; allowed: Lateness },
): Planned | undefined {
  const viewed = planningProblem(calendarNow(floor), jobs, view)
  const operations = makeWay(viewed.problem, kept, touched, {
    late: allowed.cars,
    minutes: allowed.minutes + WORTH_A_CALL,
  })
  return operations && asPlanned(viewed, operations)
}

/** Steps that were moved from where a search had them, held against every rule. */
function asPlanned(
  { problem, missed }: Pick<Planned, 'problem' | 'missed'>,
  operations: readonly PlacedOperation[],
): Planned {
  const schedule = scheduleFrom(problem, operations)
  const [rule] = checkSchedule(problem, schedule)
  if (rule) throw new Error(`the plan breaks a rule: ${rule.rule}, ${rule.message}`)
  return { problem, missed, schedule, placed: joinParts(problem, schedule) }
}

type Lateness = { cars: number; minutes: number }

/** By how much a plan brings cars after they were promised, on paper, minutes; of those that it does. */
function latenessIn(jobs: readonly LiveJob[], placed: readonly PlacedOperation[]): Map<string, number> {
  const due = new Map(jobs.flatMap((job) => (job.due ? [[job.id as string, job.due] as const] : [])))
  const late = new Map<string, number>()
  for (const { job, end } of placed) {
    const by = due.get(job)
    if (by && end > by) late.set(job, Math.max(late.get(job) ?? 0, minutesBetween(by, end)))
  }
  return late
}

const laterOfBoth = (one: ReadonlyMap<string, number>, other: ReadonlyMap<string, number>) =>
  new Map([...one, ...[...other].map(([job, by]) => [job, Math.max(by, one.get(job) ?? 0)] as const)])

const together = (late: ReadonlyMap<string, number>): Lateness => ({
  cars: late.size,
  minutes: [...late.values()].reduce((sum, each) => sum + each, 0),
})

/** Whether one plan breaks more promises than another, or breaks them by more. */
const isLaterThan = (one: Lateness, other: Lateness): boolean =>
  one.cars > other.cars || one.minutes > other.minutes

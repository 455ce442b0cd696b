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

/** Attempts on paper with each set of cars that may move. */
const SOME_STEPS = 100
/** And to make what is moved surer, once it is known what that is. */
const SURER_STEPS = 60
/** In an event it counts so many times as much to move what people were told as when everything is re-planned (mem). */
const EVENT_CHURN = 10 * CHURN_PER_STEP

/**
 * First only the cars that are touched may move, then a few others beside them, then all their neighbours on the same people and in the same places,
 * then the neighbours of those, then all, until a plan is found that breaks no promise more. What need not have moved is put back, and what does
 * move is made as sure as may be. What is promised is as it was `before` the event. An event is no occasion to plan everything better: that is what re-planning is for.
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
  const late = (placed: readonly PlacedOperation[]) => lateness(jobs, placed)
  // A car that is needed sooner now was not late by what it was promised then.
  const lateBefore = lateness(openJobs(before), told)

  // What is given up before more than the neighbours are moved: at first what costs nobody anything, then the window of a layer that nobody can
  // keep any more, then what somebody has pinned. Of that the first reasons are kept: they are what the manager must know.
  const freely: PlanningOptions = { now, coatAfterDamp: true, movesOut: touched }
  const givingUp: PlanningOptions[] = [
    { ...freely, letWindowsGo: true },
    ...(jobs.some(({ pinned }) => pinned) ? [{ ...freely, letWindowsGo: true, letPinsGo: true }] : []),
  ]
  // What could not be done by a car that is alone in the shop cannot be done by making way for it: no time is lost with that.
  const ownReasons = jobs
    .filter(({ id }) => touched.has(id))
    .flatMap((job) => reasonsAlone(calendar, job, freely))
  const views: PlanningOptions[] =
    ownReasons.length > 0
      ? givingUp
      : [{ now }, ...(calendar.damp?.length ? [{ now, coatAfterDamp: true }] : []), freely, ...givingUp]
  let reasons = ownReasons
  for (const view of views) {
    const givesUp = view.letWindowsGo ?? false
    let best: Planned | undefined
    let last: Planned | undefined
    for (const [at, movable] of sets.entries()) {
      // More than the neighbours only where that may spare a promise.
      if (at > 1 && !last) break
      const planned = planFloor(calendar, jobs, movable ? { ...view, movable } : view, {
        steps: SOME_STEPS,
        onPaper: 1,
        standing: last?.schedule.operations ?? kept,
        perStep: EVENT_CHURN,
        shouldStop: at > 1 ? shouldStop : undefined,
      })
      if (planned.schedule.status === 'infeasible') {
        if (!givesUp) reasons = planned.schedule.reasons
        continue
      }
      if (!best || sparesMore(late(planned.placed), late(best.placed))) best = planned
      last = planned
      const way = at === 0 && fewMakeWay(floor, jobs, view, { touched, plan: planned, told: lateBefore })
      if (way) {
        best = way
        break
      }
      // However slow the machine: that only the neighbours make way is tried before a promise is given up.
      if (late(planned.placed).cars <= lateBefore.cars || (at > 0 && shouldStop())) break
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

/** Why a car could not be planned if it were alone in the shop; nothing where it could. */
function reasonsAlone(calendar: ShopCalendar, job: LiveJob, view: PlanningOptions): ScheduleReason[] {
  const { schedule } = planFloor(calendar, [job], view)
  return schedule.status === 'infeasible' ? schedule.reasons : []
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

/** Lateness for which nobody beyond a few is told another time, minutes: its customer is called instead (mem). */
const WORTH_A_CALL = 240

/** The plan in which a few other cars make way for those that are touched; nothing where no promise more is broken without, or a few do not help. */
function fewMakeWay(
  floor: Floor,
  jobs: readonly LiveJob[],
  view: PlanningOptions,
  { touched, plan, told }: { touched: ReadonlySet<string>; plan: Planned; told: Lateness },
): Planned | undefined {
  if (lateness(jobs, plan.placed).cars <= told.cars) return undefined
  const viewed = planningProblem(calendarNow(floor), jobs, view)
  const operations = makeWay(viewed.problem, plan.schedule.operations, touched, {
    late: told.cars,
    minutes: told.minutes + WORTH_A_CALL,
  })
  return operations && asPlanned(viewed, operations)
}

/** Steps that were placed by hand rather than found, held against every rule. */
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

/** Cars that a plan brings after they were promised, on paper, and by how much together. */
function lateness(jobs: readonly LiveJob[], placed: readonly PlacedOperation[]): Lateness {
  const due = new Map(jobs.flatMap((job) => (job.due ? [[job.id as string, job.due] as const] : [])))
  const late = new Map<string, number>()
  for (const { job, end } of placed) {
    const by = due.get(job)
    if (by && end > by) late.set(job, Math.max(late.get(job) ?? 0, minutesBetween(by, end)))
  }
  return { cars: late.size, minutes: [...late.values()].reduce((sum, each) => sum + each, 0) }
}

/** Lateness for which it is worth moving more cars, minutes (mem). */
const WORTH_MOVING = 1440

/** Whether one plan is worth moving more cars for: fewer promises are broken, or by a day less. */
const sparesMore = (one: Lateness, other: Lateness): boolean =>
  one.cars < other.cars || (one.cars === other.cars && one.minutes + WORTH_MOVING <= other.minutes)

/** Whether one plan breaks more promises than another, or breaks them by more. */
const isLaterThan = (one: Lateness, other: Lateness): boolean =>
  one.cars > other.cars || one.minutes > other.minutes

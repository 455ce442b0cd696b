import type { LiveJob } from '../job'
import {
  checkSchedule,
  type PlacedOperation,
  type Problem,
  type Schedule,
  type ScheduleReason,
  SureSolver,
  scheduleFrom,
} from '../schedule'
import { calendarNow, type Floor, openJobs } from './floor'
import { joinParts } from './parts'
import type { PlanningOptions } from './planning-options'
import { type MissedWindow, planningProblem, type ShopCalendar } from './shop-problem'
import { FIRST_SURE_MARK } from './sure-marks'

/** Improvement attempts when everything is re-planned by hand. */
export const PLAN_ALL_STEPS = 600

/**
 * What it costs to move one step that people have been told: as much as an hour by which a car is done sooner, or half an
 * hour of a bay (mem).
 */
export const CHURN_PER_STEP = 60

export const PLAN_SEED = 20_270_111

export type Planned = {
  problem: Problem
  schedule: Schedule
  missed: MissedWindow[]
  placed: PlacedOperation[]
}

export type Effort = {
  /** Improvement attempts; none where nothing is said. */
  steps?: number
  /** The share of them on paper alone. */
  onPaper?: number
  /** A plan to begin with, or a part of one. */
  standing?: readonly PlacedOperation[]
  /** What it costs to move one step that people have been told. */
  perStep?: number
  shouldStop?: (() => boolean) | undefined
}

/** Solves one view of the floor. A schedule that the independent checker faults is a defect, and is not used. */
export function planFloor(
  shop: ShopCalendar,
  jobs: readonly LiveJob[],
  options: PlanningOptions,
  { steps = 0, onPaper, standing = [], perStep = CHURN_PER_STEP, shouldStop = () => false }: Effort = {},
): Planned {
  const { problem, missed } = planningProblem(shop, jobs, options)
  const solver = new SureSolver(problem, {
    seed: PLAN_SEED,
    steps,
    standing,
    churn: { against: jobs.flatMap(({ published }) => published), perStep },
    sure: shop.sure ?? FIRST_SURE_MARK,
    ...(onPaper === undefined ? {} : { onPaper }),
  })
  while (!solver.done && !shouldStop()) solver.step()
  return checked({ problem, missed }, solver.schedule())
}

/** A schedule of a problem as a plan. Nobody is told one that the checker faults: that is a defect. */
function checked({ problem, missed }: Pick<Planned, 'problem' | 'missed'>, schedule: Schedule): Planned {
  const [broken] = schedule.status === 'infeasible' ? [] : checkSchedule(problem, schedule)
  if (broken) throw new Error(`the plan breaks a rule: ${broken.rule}, ${broken.message}`)
  return { problem, schedule, missed, placed: joinParts(problem, schedule) }
}

/** Steps that no search put where they are, as a plan; held against every rule. */
export const asPlanned = (
  viewed: { problem: Problem; missed?: MissedWindow[] },
  operations: readonly PlacedOperation[],
): Planned =>
  checked({ problem: viewed.problem, missed: viewed.missed ?? [] }, scheduleFrom(viewed.problem, operations))

/**
 * Plans what `movable` names and leaves the rest where it was published. Where reality no longer allows that,
 * everything not yet begun is re-planned; then without what the manager has pinned; then without insisting on which bay
 * a car was planned in; at last without the latest starts that a late day has made impossible. The reasons of the first refusal are kept: they
 * are what the manager must know. Where everything may move, the plan is looked for from `begin`: the one that stands.
 */
export function planAround(
  floor: Floor,
  movable: ReadonlySet<string> | undefined,
  steps: number,
  shouldStop?: () => boolean,
  begin: () => readonly PlacedOperation[] = () => standingPlan(floor),
): Planned {
  const jobs = openJobs(floor)
  const { now } = floor
  const calendar = calendarNow(floor)
  const coatAfterDamp = true
  const views: PlanningOptions[] = [
    ...(movable ? [{ now, movable }] : []),
    { now },
    ...(calendar.damp?.length ? [{ now, coatAfterDamp }] : []),
    ...(jobs.some(({ pinned }) => pinned) ? [{ now, coatAfterDamp, letPinsGo: true }] : []),
    { now, coatAfterDamp, letPinsGo: true, forgetPlaces: true },
    { now, coatAfterDamp, letPinsGo: true, letWindowsGo: true },
    { now, coatAfterDamp, letPinsGo: true, forgetPlaces: true, letWindowsGo: true },
  ]
  let planned: Planned | undefined
  let reasons: ScheduleReason[] = []
  for (const options of views) {
    // Where everything may move, the plan that stands is where to begin: a new one is never worse.
    const free = !options.movable && steps > 0
    planned = planFloor(calendar, jobs, options, { steps, standing: free ? begin() : [], shouldStop })
    const { schedule } = planned
    if (schedule.status !== 'infeasible')
      return {
        ...planned,
        schedule: { ...schedule, reasons: options.letWindowsGo || options.letPinsGo ? reasons : [] },
      }
    reasons = schedule.reasons
  }
  return planned!
}

/** No job: all of them keep what was published. */
export const NOBODY: ReadonlySet<string> = new Set()

/**
 * What is published for these jobs, brought up to this minute, and how it is looked at. Where it rests on a window that
 * could not be kept after work already begun, it is looked at without that window.
 */
export function keptPlan(
  floor: Floor,
  jobs: readonly LiveJob[] = openJobs(floor),
): { planned: Planned; options: PlanningOptions } {
  const [calendar, { now }] = [calendarNow(floor), floor]
  const strict = planFloor(calendar, jobs, { now, movable: NOBODY })
  if (strict.schedule.status !== 'infeasible') return { planned: strict, options: { now } }
  const lenient = planFloor(calendar, jobs, { now, movable: NOBODY, letMissedWindowsGo: true })
  return lenient.schedule.status === 'infeasible'
    ? { planned: strict, options: { now } }
    : { planned: lenient, options: { now, letMissedWindowsGo: true } }
}

/** What is published for all but these cars, brought up to this minute; nothing where that cannot be kept. */
export function planOfOthers(
  floor: Floor,
  jobs: readonly LiveJob[],
  touched: ReadonlySet<string>,
): PlacedOperation[] {
  const others = jobs.filter(({ id }) => !touched.has(id))
  const { schedule } = planFloor(calendarNow(floor), others, { now: floor.now, movable: NOBODY })
  return schedule.status === 'infeasible' ? [] : schedule.operations
}

/** What is published, brought up to this minute; nothing where it can no longer be kept, or not in its windows. */
export function standingPlan(floor: Floor): PlacedOperation[] {
  const { planned, options } = keptPlan(floor)
  return planned.schedule.status === 'infeasible' || options.letMissedWindowsGo
    ? []
    : planned.schedule.operations
}

/** A plan in which everything not yet begun may move; nothing is published. */
export function planEverything(floor: Floor, shouldStop?: () => boolean): Planned {
  return planAround(floor, undefined, PLAN_ALL_STEPS, shouldStop)
}

/** A plan for what was asked: with `movable` the other jobs keep their times if they can. Nothing is published. */
export function planOnFloor(
  floor: Floor,
  movable?: ReadonlySet<string>,
  shouldStop?: () => boolean,
): Planned {
  return planAround(floor, movable, movable ? 0 : PLAN_ALL_STEPS, shouldStop)
}

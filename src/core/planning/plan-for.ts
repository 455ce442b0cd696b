import type { JobId } from '../ids'
import type { LiveJob } from '../job'
import {
  disturbance,
  type Late,
  makeWay,
  type PlacedOperation,
  planChanges,
  putBack,
  type ScheduleReason,
  WORTH_A_CALL,
} from '../schedule'
import { calendarNow, type Floor, openJobs } from './floor'
import { latenessIn, laterOfBoth } from './lateness'
import { overdueSteps, withNeighbours } from './near-cars'
import {
  asPlanned,
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
/** Lateness that is not accepted for want of time to look further: a week, minutes (mem). */
const TOO_LATE = 7 * 1440

/** What has happened, and what is known of it before anything is moved for it. */
type Event = {
  calendar: ShopCalendar
  jobs: readonly LiveJob[]
  /** The cars that are touched, or late with something. */
  touched: ReadonlySet<string>
  /** What people were told; and what of it is kept for all but the touched, brought up to this minute. */
  told: readonly PlacedOperation[]
  kept: readonly PlacedOperation[]
  /** What is late whoever makes way: as before the event, or as the touched cars would be alone in the shop. */
  lateAnyway: Late
  shouldStop: () => boolean
}

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
  const told = jobs.flatMap(({ published }) => published)

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
  const views: PlanningOptions[] =
    ownReasons.length > 0
      ? givingUp
      : [{ now }, ...(calendar.damp?.length ? [{ now, coatAfterDamp: true }] : []), freely, ...givingUp]
  const placedAlone = alone.flatMap(({ placed }) => placed)
  const event: Event = {
    calendar,
    jobs,
    touched,
    told,
    kept: planOfOthers(floor, jobs, touched),
    // A car that is needed sooner now was not late by what it was promised then.
    lateAnyway: together(laterOfBoth(latenessIn(openJobs(before), told), latenessIn(jobs, placedAlone))),
    shouldStop,
  }
  let reasons = ownReasons
  for (const view of views) {
    const { best, refused } = leastDisturbing(event, view)
    if (!view.letWindowsGo) reasons = refused ?? reasons
    if (!best) continue
    const found = madeSurer(event, view, movedLeast(event, view, best))
    return view.letWindowsGo ? { ...found, schedule: { ...found.schedule, reasons } } : found
  }
  return planAround(floor, undefined, PLAN_ALL_STEPS, shouldStop, () => event.kept)
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

/** The plan in which least comes late and fewest are told another time, of those that are found with more and more cars free to move. */
function leastDisturbing(
  event: Event,
  view: PlanningOptions,
): { best?: Planned; refused?: ScheduleReason[] } {
  const { calendar, jobs, touched, kept, lateAnyway, shouldStop } = event
  const near = withNeighbours(jobs, touched)
  let best: { plan: Planned; late: Late; cost: number } | undefined
  let last: Planned | undefined
  let refused: ScheduleReason[] | undefined
  /** Whether no more is late than would be anyway, but for what one call makes good. */
  const isEnough = (plan: Planned): boolean => {
    const late = lateIn(event, plan)
    const cost = disturbance(late, movedBy(event, plan).filter((job) => !touched.has(job)).length)
    if (!best || cost < best.cost) best = { plan, late, cost }
    return late.jobs <= lateAnyway.jobs && late.minutes <= lateAnyway.minutes + WORTH_A_CALL
  }
  for (const [at, movable] of [touched, near, withNeighbours(jobs, near), undefined].entries()) {
    // More than the neighbours only where that may spare a promise.
    if (at > 1 && !last) break
    const planned = planFloor(calendar, jobs, movable ? { ...view, movable } : view, {
      steps: at === 0 ? FEW_STEPS : SOME_STEPS,
      onPaper: 1,
      standing: last?.schedule.operations ?? kept,
      perStep: EVENT_CHURN,
      shouldStop: at > 1 ? shouldStop : undefined,
    })
    if (planned.schedule.status === 'infeasible') refused = planned.schedule.reasons
    else {
      last = planned
      if (isEnough(planned)) break
    }
    const few = at === 0 ? fewMakeWay(event, view) : undefined
    if (few && isEnough(few)) break
    // However slow the machine: that only the neighbours make way is tried before a promise is given up, and all before one is by a week.
    const isNear = best && best.late.minutes <= lateAnyway.minutes + TOO_LATE
    if (at > 0 && isNear && shouldStop()) break
  }
  return { ...(best ? { best: best.plan } : {}), ...(refused ? { refused } : {}) }
}

/** The plan in which a few other cars make way for those that are touched; nothing where a few do not help. */
function fewMakeWay(
  { calendar, jobs, kept, touched, lateAnyway }: Event,
  view: PlanningOptions,
): Planned | undefined {
  const viewed = planningProblem(calendar, jobs, view)
  const operations = makeWay(viewed.problem, kept, touched, {
    ...lateAnyway,
    minutes: lateAnyway.minutes + WORTH_A_CALL,
  })
  return operations && asPlanned(viewed, operations)
}

/** The plan with those cars put back that need not have moved, and so about as good. */
function movedLeast({ calendar, jobs, told }: Event, view: PlanningOptions, plan: Planned): Planned {
  const viewed = planningProblem(calendar, jobs, view)
  const sure = calendar.sure ?? FIRST_SURE_MARK
  return asPlanned(viewed, putBack(viewed.problem, plan.schedule.operations, { told, sure }))
}

/** The plan with what it moves made as sure as may be, as long as nothing comes later for it on paper. */
function madeSurer(event: Event, view: PlanningOptions, plan: Planned): Planned {
  const { calendar, jobs, touched, shouldStop } = event
  const movable = new Set([...touched, ...movedBy(event, plan)])
  const surer = planFloor(
    calendar,
    jobs,
    { ...view, movable },
    {
      steps: SURER_STEPS,
      onPaper: 0,
      standing: plan.schedule.operations,
      perStep: EVENT_CHURN,
      shouldStop,
    },
  )
  if (surer.schedule.status === 'infeasible') return plan
  const [one, other] = [lateIn(event, surer), lateIn(event, plan)]
  return one.jobs > other.jobs || one.minutes > other.minutes ? plan : surer
}

const lateIn = ({ jobs }: Event, { placed }: Planned): Late => together(latenessIn(jobs, placed))

/** The cars of which something is elsewhere than was told. */
const movedBy = ({ told }: Event, { placed }: Planned): JobId[] =>
  planChanges(told, placed, {}).map(({ job }) => job)

const together = (late: ReadonlyMap<JobId, number>): Late => ({
  jobs: late.size,
  minutes: [...late.values()].reduce((sum, each) => sum + each, 0),
})

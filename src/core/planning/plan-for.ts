import { type LiveJob, progressAt } from '../job'
import { checkSchedule, type PlacedOperation, planChanges, putBack, scheduleFrom } from '../schedule'
import { type Instant, minutesBetween } from '../time'
import { calendarNow, type Floor, openJobs } from './floor'
import { joinParts } from './parts'
import { CHURN_PER_STEP, NOBODY, PLAN_ALL_STEPS, type Planned, planAround, planFloor } from './plan-floor'
import type { PlanningOptions } from './planning-options'
import { planningProblem } from './shop-problem'
import { FIRST_SURE_MARK } from './sure-marks'

/** Plans for an event, such as somebody who is ill: as few cars as can be are told another time. */

/** Attempts on paper with each set of cars that may move. */
const SOME_STEPS = 100
/** And to make what is moved surer, once it is known what that is. */
const SURER_STEPS = 60
/** In an event it counts so many times as much to move what people were told as when everything is re-planned (mem). */
const EVENT_CHURN = 10 * CHURN_PER_STEP

/**
 * First only the cars that are touched may move, then their neighbours on the same people and in the same places, then the neighbours of
 * those, then all, until a plan is found that breaks no promise more. What need not have moved is put back, and what does move is made as
 * sure as may be. An event is no occasion to plan everything better: that is what re-planning is for.
 */
export function planFor(
  floor: Floor,
  of: ReadonlySet<string>,
  shouldStop: () => boolean = () => false,
): Planned {
  const jobs = openJobs(floor)
  const [calendar, { now }] = [calendarNow(floor), floor]
  const touched = new Set([...of, ...slipped(jobs, now)])
  const kept = keptOfOthers(floor, jobs, touched)
  const near = withNeighbours(jobs, touched)
  const sets = [touched, near, withNeighbours(jobs, near), undefined]
  const told = jobs.flatMap(({ published }) => published)
  const late = (placed: readonly PlacedOperation[]) => lateness(jobs, placed)

  // What is given up before more than the neighbours are moved: it costs nobody anything.
  const views: PlanningOptions[] = [
    { now },
    ...(calendar.damp?.length ? [{ now, coatAfterDamp: true }] : []),
    { now, coatAfterDamp: true, movesOut: touched },
  ]
  for (const view of views) {
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
      if (planned.schedule.status === 'infeasible') continue
      if (!best || sparesMore(late(planned.placed), late(best.placed))) best = planned
      last = planned
      // However slow the machine: that only the neighbours make way is tried before a promise is given up.
      if (late(planned.placed).cars <= late(told).cars || (at > 0 && shouldStop())) break
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
    return surer.schedule.status === 'infeasible' || sparesMore(late(least.placed), late(surer.placed))
      ? least
      : surer
  }
  return planAround(floor, undefined, PLAN_ALL_STEPS, shouldStop, () => kept)
}

/** The plan with those cars put back that need not have moved, and so about as good. */
function movedLeast(floor: Floor, jobs: readonly LiveJob[], view: PlanningOptions, plan: Planned): Planned {
  const calendar = calendarNow(floor)
  const { problem, missed } = planningProblem(calendar, jobs, view)
  const operations = putBack(problem, plan.schedule.operations, {
    told: jobs.flatMap(({ published }) => published),
    sure: calendar.sure ?? FIRST_SURE_MARK,
  })
  const schedule = scheduleFrom(problem, operations)
  const [rule] = checkSchedule(problem, schedule)
  if (rule) throw new Error(`the plan breaks a rule: ${rule.rule}, ${rule.message}`)
  return { problem, missed, schedule, placed: joinParts(problem, schedule) }
}

/** Cars of which something should have begun and has not: they move whatever happens. */
const slipped = (jobs: readonly LiveJob[], now: Instant): string[] =>
  jobs.flatMap((job) => {
    const isOpen = new Set(
      job.plan.operations.filter((step) => progressAt(job, step, now).kind === 'open').map(({ id }) => id),
    )
    const isLate = job.published.some(({ operation, start }) => start < now && isOpen.has(operation))
    return isLate ? [job.id] : []
  })

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

/** What is published for the cars an event does not touch, brought up to this minute; nothing where that cannot be kept. */
function keptOfOthers(
  floor: Floor,
  jobs: readonly LiveJob[],
  touched: ReadonlySet<string>,
): PlacedOperation[] {
  const others = jobs.filter(({ id }) => !touched.has(id))
  const { schedule } = planFloor(calendarNow(floor), others, { now: floor.now, movable: NOBODY })
  return schedule.status === 'infeasible' ? [] : schedule.operations
}

/** These cars, and those before and after them with the same people and in the same places. */
export function withNeighbours(jobs: readonly LiveJob[], of: ReadonlySet<string>): ReadonlySet<string> {
  const lists = new Map<string, PlacedOperation[]>()
  for (const placed of jobs.flatMap(({ published }) => published))
    for (const used of [...placed.people, placed.place]) lists.set(used, [...(lists.get(used) ?? []), placed])
  const near = new Set(of)
  for (const list of lists.values()) {
    const inTurn = list.toSorted((a, b) => (a.start < b.start ? -1 : 1))
    for (const [at, { job }] of inTurn.entries())
      if (of.has(job)) for (const beside of [inTurn[at - 1], inTurn[at + 1]]) if (beside) near.add(beside.job)
  }
  return near
}

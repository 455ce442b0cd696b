import type { LiveJob } from '../job'
import { checkSchedule, leastMoved, type PlacedOperation, scheduleFrom } from '../schedule'
import { calendarNow, type Floor, openJobs } from './floor'
import { joinParts } from './parts'
import { NOBODY, PLAN_ALL_STEPS, type Planned, planAround, planFloor } from './plan-floor'
import type { PlanningOptions } from './planning-options'
import { planningProblem } from './shop-problem'
import { FIRST_SURE_MARK } from './sure-marks'

/** Plans for an event, such as somebody who is ill: as few cars as can be are told another time. */

/** Attempts to find a place at all, and to find better ones while only some cars may move. */
const FIRST_STEPS = 40
const SOME_STEPS = 160

/**
 * First only the cars that are touched may move, then their neighbours on the same people and in the same places, then all, until a plan is
 * found that breaks no promise more. Of plans about as good the one is taken that moves least. An event is no occasion to plan
 * everything better: that is what re-planning is for.
 */
export function planFor(
  floor: Floor,
  touched: ReadonlySet<string>,
  shouldStop: () => boolean = () => false,
): Planned {
  const jobs = openJobs(floor)
  const [calendar, { now }] = [calendarNow(floor), floor]
  const kept = keptOfOthers(floor, jobs, touched)
  const sets = [touched, withNeighbours(jobs, touched), undefined]
  const told = jobs.flatMap(({ published }) => published)
  const broken = (placed: readonly PlacedOperation[]) => lateJobs(jobs, placed).length

  // What is given up before more than the neighbours are moved: it costs nobody anything.
  const views: PlanningOptions[] = [
    { now },
    ...(calendar.damp?.length ? [{ now, coatAfterDamp: true }] : []),
    { now, coatAfterDamp: true, movesOut: touched },
  ]
  for (const view of views) {
    const found: Planned[] = []
    for (const movable of sets) {
      // All of them only where that may spare a promise.
      if (!movable && found.length === 0) break
      const options = movable ? { ...view, movable } : view
      const first = planFloor(calendar, jobs, options, FIRST_STEPS, found.at(-1)?.schedule.operations ?? kept)
      if (first.schedule.status === 'infeasible') continue
      const steps = movable ? SOME_STEPS : PLAN_ALL_STEPS
      found.push(planFloor(calendar, jobs, options, steps, first.schedule.operations, shouldStop))
      if (broken(found.at(-1)!.placed) <= broken(told) || shouldStop()) break
    }
    if (found.length === 0) continue
    const fewest = Math.min(...found.map(({ placed }) => broken(placed)))
    return movedLeast(
      floor,
      jobs,
      view,
      found.filter(({ placed }) => broken(placed) === fewest),
    )
  }
  return planAround(floor, undefined, PLAN_ALL_STEPS, shouldStop, () => kept)
}

/** Of plans of one view the one that moves least of what people were told, and is about as good as the best. */
function movedLeast(
  floor: Floor,
  jobs: readonly LiveJob[],
  view: PlanningOptions,
  plans: readonly Planned[],
): Planned {
  const calendar = calendarNow(floor)
  const { problem, missed } = planningProblem(calendar, jobs, view)
  const operations = leastMoved(
    problem,
    plans.map(({ schedule }) => schedule.operations),
    { told: jobs.flatMap(({ published }) => published), sure: calendar.sure ?? FIRST_SURE_MARK },
  )
  const schedule = scheduleFrom(problem, operations)
  const [rule] = checkSchedule(problem, schedule)
  if (rule) throw new Error(`the plan breaks a rule: ${rule.rule}, ${rule.message}`)
  return { problem, missed, schedule, placed: joinParts(problem, schedule) }
}

/** The jobs whose promise a plan breaks on paper. */
function lateJobs(jobs: readonly LiveJob[], placed: readonly PlacedOperation[]): LiveJob[] {
  return jobs.filter(({ id, due }) => due && placed.some(({ job, end }) => job === id && end > due))
}

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
    for (const with_ of [...placed.people, placed.place])
      lists.set(with_, [...(lists.get(with_) ?? []), placed])
  const near = new Set(of)
  for (const list of lists.values()) {
    const inTurn = list.toSorted((a, b) => (a.start < b.start ? -1 : 1))
    for (const [at, { job }] of inTurn.entries())
      if (of.has(job)) for (const beside of [inTurn[at - 1], inTurn[at + 1]]) if (beside) near.add(beside.job)
  }
  return near
}

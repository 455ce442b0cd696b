import { type OperationId, type PersonId, toOperationId } from '../ids'
import type { LiveJob, Progress } from '../job'
import type { PlannedOperation } from '../offer/job-plan'
import {
  nextOpen,
  openMinutesBetween,
  type Problem,
  type ProblemJob,
  type ProblemOperation,
} from '../schedule'
import { epochMinutes, fromEpochMinutes, type Instant, laterOf, minutesBetween, plusMinutes } from '../time'
import { unattended } from './file-operations'
import type { ShopCalendar } from './shop-problem'

/** Work that has begun, as the scheduler takes it: what is past of it, and what is left. */

const MIN_REST_MINUTES = 5

export type Pin = Problem['fixed'][number]
export type Entry = { operations: ProblemOperation[]; pins: Pin[] }
export type PinAt = (id: OperationId, start: Instant, more?: Partial<Pin>) => Pin

export type UnderWay = {
  shop: Pick<ShopCalendar, 'timezone' | 'calendars' | 'people'>
  now: Instant
  /** The next start on the shop’s grid. */
  origin: Instant
  /** Who goes on with something already; whoever goes on with this is added. */
  busy: Set<string>
  toSchedule: (operation: PlannedOperation) => ProblemOperation
}

export const onMinute = (at: Instant) => fromEpochMinutes(epochMinutes(at))

/** What is away comes back when it was said; what is overdue, at any moment, for all anybody knows. */
export function goneOut(
  { id }: PlannedOperation,
  { at, dueBack }: { at: Instant; dueBack: Instant },
  origin: Instant,
  pin: PinAt,
): Entry {
  const back = laterOf(onMinute(dueBack), plusMinutes(origin, MIN_REST_MINUTES))
  return { operations: [unattended(id, minutesBetween(onMinute(at), back))], pins: [pin(id, at)] }
}

/** Who is at work: whoever began it, and the others it was planned with, as many as it needs. */
function teamOf(
  { people: needed }: PlannedOperation,
  by: PersonId | undefined,
  planned: readonly PersonId[],
): PersonId[] {
  if (by === undefined) return []
  return planned.includes(by) ? [...planned] : [by, ...planned].slice(0, Math.max(1, needed))
}

/**
 * The skill by which a team goes on with what it is at: the one that is asked for; where somebody of another trade has begun it, one that all
 * of them have. They are at it, whatever is written of them, and nobody else's plan may fail for that.
 */
function skillOf(
  team: readonly PersonId[],
  asked: string | undefined,
  people: UnderWay['shop']['people'],
): string | undefined {
  const own = team.map((id) => people.find((person) => person.id === id)?.skills ?? [])
  const common = (own[0] ?? []).filter((skill) => own.every((skills) => skills.includes(skill)))
  return asked !== undefined && common.includes(asked) ? asked : common[0]
}

/**
 * What has been done is past, what is left goes on at once with the same people. `planned` are those it was planned with. Minutes of work that
 * several share are those of all hands together.
 */
export function underWay(
  operation: PlannedOperation,
  progress: Extract<Progress, { kind: 'started' }>,
  planned: readonly PersonId[],
  { shop: { timezone, calendars, people }, now, origin, busy, toSchedule }: UnderWay,
  pin: PinAt,
): Entry {
  const person = people.find(({ id }) => id === progress.by)
  const calendar = person && calendars[person.calendar]
  const team = teamOf(operation, person?.id, planned)
  const elapsed = minutesBetween(onMinute(progress.at), origin)
  const hands = toSchedule(operation).split === undefined ? 1 : Math.max(1, team.length)
  const worked =
    hands *
    (calendar && operation.mode === 'pausable'
      ? openMinutesBetween(calendar, timezone, progress.at, origin)
      : elapsed)
  // What should be done by the next slot is believed to be; only what is overdue takes longer than was planned.
  const overdue = plusMinutes(progress.at, operation.minutes) <= now
  if (worked >= operation.minutes && !overdue)
    return {
      operations: [unattended(operation.id, operation.minutes)],
      pins: [pin(operation.id, progress.at)],
    }
  const left = Math.max(MIN_REST_MINUTES, operation.minutes - worked)
  // What began at this very slot has no part that is past: all of it is still to do.
  const past: Entry =
    elapsed > 0
      ? { operations: [unattended(operation.id, elapsed)], pins: [pin(operation.id, progress.at)] }
      : { operations: [], pins: [] }
  // Nobody reads anything into this id: what it is the rest of stands in its own field.
  const rest = elapsed > 0 ? toOperationId(`${operation.id} (rest)`) : operation.id
  const part = elapsed > 0 ? { restOf: operation.id } : {}
  const going = { ...toSchedule({ ...operation, minutes: left }), id: rest, ...part }
  const followedBy = (what: ProblemOperation, pins: Pin[]): Entry => ({
    operations: [...past.operations, what],
    pins: [...past.pins, ...pins],
  })
  const open = calendar ? openMinutesBetween(calendar, timezone, origin, plusMinutes(origin, left)) : 0
  const isOn = (id: PersonId) => {
    const shift = people.find((each) => each.id === id)?.calendar
    return !busy.has(id) && shift !== undefined && nextOpen(calendars[shift]!, timezone, origin) === origin
  }
  const goesOn =
    team.length >= Math.max(1, operation.people) &&
    team.every(isOn) &&
    (operation.mode === 'pausable' || open === left)
  const skill = skillOf(team, going.skill, people)
  if (goesOn && skill) {
    for (const id of team) busy.add(id)
    return followedBy({ ...going, skill }, [pin(rest, origin, { people: team })])
  }
  // Off shift and still at it, or paused until someone is back.
  const air = going.air ? { air: going.air } : {}
  return operation.mode === 'pausable'
    ? followedBy(going, [])
    : followedBy({ ...unattended(rest, left), ...part, ...air }, [pin(rest, origin)])
}

/** A step that waits for what was ordered does not begin before it is due; what is overdue may come tomorrow. */
export function waitsForOrders(
  { plan, awaited = {} }: Pick<LiveJob, 'plan' | 'awaited'>,
  origin: Instant,
): Pick<ProblemJob, 'notDuring'> {
  const spans = plan.operations.flatMap(({ id }) => {
    const order = awaited[id]
    if (!order) return []
    const to = order.due > origin ? onMinute(order.due) : plusMinutes(origin, 1440)
    return [{ operation: id, from: origin, to }]
  })
  return spans.length > 0 ? { notDuring: spans } : {}
}

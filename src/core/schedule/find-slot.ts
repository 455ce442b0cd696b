import { firstEndingAfter, type Interval } from './intervals'
import type { Model, ModelOperation } from './model'
import type { OperationPlacement, ShopState } from './shop-state'

/** More teams than this are not tried for one operation; the first are those with the fewest other skills. */
const TEAMS_MAX = 64

/** What the search for a slot needs to know besides the operation itself. */
export type SlotContext = {
  model: Model
  shop: ShopState
  /** Operations of the same job that are already laid, whose people are taken too. */
  own: readonly OperationPlacement[]
}

function teamsOf(people: readonly number[], size: number): number[][] {
  if (size === 0) return [[]]
  const teams: number[][] = []
  const extend = (team: number[], from: number): void => {
    if (teams.length >= TEAMS_MAX) return
    if (team.length === size) {
      teams.push(team)
      return
    }
    for (let at = from; at < people.length; at++) extend([...team, people[at]!], at + 1)
  }
  extend([], 0)
  return teams
}

/** The teams that may do an operation: the pinned one, or any of the right size with the skill. */
export function teamsFor(operation: ModelOperation): number[][] {
  const pinned = operation.pin?.people
  if (pinned) return pinned.every((person) => operation.skilled.includes(person)) ? [pinned] : []
  return teamsOf(operation.skilled, operation.people)
}

function clashEnd(
  context: SlotContext,
  team: readonly number[],
  from: number,
  to: number,
): number | undefined {
  let latest: number | undefined
  const note = (end: number) => {
    latest = latest === undefined ? end : Math.max(latest, end)
  }
  for (const person of team) {
    const use = context.shop.personClash(person, from, to)
    if (use) note(use.to)
    for (const other of context.own)
      if (other.start < to && from < other.end && other.people.includes(person)) note(other.end)
  }
  return latest
}

/** When `minutes` of work that begin at `start` are done, pausing between open intervals; undefined if never. */
export function workEnd(open: readonly Interval[], start: number, minutes: number): number | undefined {
  let left = minutes
  for (let at = firstEndingAfter(open, start); at < open.length; at++) {
    const from = Math.max(start, open[at]!.from)
    const available = open[at]!.to - from
    if (left <= available) return from + left
    left -= available
  }
  return undefined
}

/** The minutes of work between `start` and `end`, with gaps only where work pauses. */
export function workSegments(open: readonly Interval[], start: number, end: number): Interval[] {
  const segments: Interval[] = []
  for (let at = firstEndingAfter(open, start); at < open.length && open[at]!.from < end; at++) {
    const from = Math.max(start, open[at]!.from)
    const to = Math.min(end, open[at]!.to)
    if (from < to) segments.push({ from, to })
  }
  return segments
}

const onGrid = (minute: number, slot: number) => Math.ceil(minute / slot) * slot

/**
 * The earliest slot of one team at `place` that starts no earlier than `earliest`: inside one open interval for
 * solid work, pausing over closed time for pausable work. With `exact` only that very start is tried.
 */
function teamSlot(
  context: SlotContext,
  operation: ModelOperation,
  team: readonly number[],
  place: number,
  earliest: number,
  exact: boolean,
): Interval | undefined {
  const { model } = context
  const open = model.openFor(team, place)
  let start = exact ? earliest : onGrid(earliest, model.slot)
  for (let at = firstEndingAfter(open, start); at < open.length; ) {
    const interval = open[at]!
    if (interval.from > start) {
      if (exact) return undefined
      start = onGrid(interval.from, model.slot)
    }
    if (start >= interval.to) {
      at++
      continue
    }
    const end =
      operation.mode === 'solid'
        ? start + operation.minutes <= interval.to
          ? start + operation.minutes
          : undefined
        : workEnd(open, start, operation.minutes)
    if (end === undefined) {
      if (exact || operation.mode === 'pausable') return undefined
      at++
      continue
    }
    if (end > model.horizon) return undefined
    const busyUntil = clashEnd(context, team, start, end)
    if (busyUntil === undefined) return { from: start, to: end }
    if (exact) return undefined
    start = onGrid(busyUntil, model.slot)
    at = firstEndingAfter(open, start)
  }
  return undefined
}

/**
 * The slot of an operation that ends soonest among those starting no earlier than `earliest`, with the team that
 * takes it; undefined where none is left before the horizon. A pinned operation has one slot or none.
 */
export function findSlot(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  earliest: number,
): OperationPlacement | undefined {
  const { pin } = operation
  if (pin && pin.start < earliest) return undefined
  const from = pin?.start ?? earliest
  if (operation.mode === 'unattended') {
    const end = from + operation.minutes
    return end <= context.model.horizon ? { start: from, end, people: [], place } : undefined
  }
  let best: OperationPlacement | undefined
  for (const team of teamsFor(operation)) {
    const slot = teamSlot(context, operation, team, place, from, pin !== undefined)
    if (slot && (!best || slot.to < best.end)) best = { start: slot.from, end: slot.to, people: team, place }
  }
  return best
}

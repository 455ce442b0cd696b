import { firstEndingAfter, type Interval, lastBeginningBefore } from '../contract/intervals'
import { clashOf, type Placed } from './clash'
import { crewsInTurn } from './judging'
import { type Model, type ModelOperation, minutesWith } from './model'
import type { Random } from './random'
import type { OperationPlacement, ShopState } from './shop-state'
import type { Crew } from './teams'
import { workEnd, workStart } from './work-time'

/** What the search for a slot needs to know besides the operation itself. */
export type SlotContext = {
  model: Model
  shop: ShopState
  /** For searches that place the same job again and again: draws what is tried. */
  random?: Random
  /** How often, of a hundred, a free slot or crew is left for somebody else. */
  blinkPercent?: number
  /** Whether a stay may be begun later than it could be, for no reason but to leave room for somebody else. */
  delays?: boolean
  /** Whether no inspection waits for somebody who had no hand in the work. */
  judgesItself?: boolean
  /** Slots found while the shop has not changed: each is still the soonest for any start up to its own. */
  known?: Map<ModelOperation, { from: number; slot: OperationPlacement }>
}

export function blinks({ random, blinkPercent = 0 }: SlotContext): boolean {
  return random !== undefined && random() * 100 < blinkPercent
}

/** An inspection waits so long for somebody who had no hand in the work, minutes: over a weekend (mem). */
const WAITS_FOR_FRESH_EYES = 3 * 1440

const gridAtOrAfter = (minute: number, slot: number) => Math.ceil(minute / slot) * slot
const gridAtOrBefore = (minute: number, slot: number) => Math.floor(minute / slot) * slot

/** When work that begins at `start`, in the open interval `at`, is done: undefined where it does not fit there with its room. */
function endOfWork(
  { mode, room }: Pick<ModelOperation, 'mode' | 'room'>,
  minutes: number,
  open: readonly Interval[],
  at: number,
  start: number,
): number | undefined {
  const end = start + minutes
  if (end + room.over <= open[at]!.to) return end
  return mode === 'solid' ? undefined : workEnd(open, start, minutes)
}

/** The very slot at `start`, for a pinned operation; it may lie off the grid. */
function slotAt(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  { people, open }: Crew,
  start: number,
): Interval | undefined {
  const at = firstEndingAfter(open, start)
  if (at === open.length || open[at]!.from > start) return undefined
  const end = endOfWork(operation, minutesWith(operation, people), open, at, start)
  if (end === undefined || end > context.model.horizon) return undefined
  return clashOf(context, operation, place, placed, people, start, end) ? undefined : { from: start, to: end }
}

/** From where on one crew’s work ends no earlier than `endFrom`; what it does before that ends too soon. */
function startEndingFrom(operation: ModelOperation, { open, people }: Crew, endFrom: number): number {
  if (endFrom === Number.NEGATIVE_INFINITY) return endFrom
  const minutes = minutesWith(operation, people)
  return operation.mode === 'solid'
    ? endFrom - minutes
    : (workStart(open, endFrom, minutes) ?? endFrom - minutes)
}

/**
 * The earliest slot of one crew that starts no earlier than `earliest`, ends no earlier than `endFrom` and before `beat`:
 * inside one open interval for solid work, pausing over closed time for pausable work.
 */
function earliestOf(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  crew: Crew,
  earliest: number,
  endFrom: number,
  beat: number,
): Interval | undefined {
  const { slot, horizon } = context.model
  const { people, open } = crew
  const minutes = minutesWith(operation, people)
  let start = gridAtOrAfter(Math.max(earliest, startEndingFrom(operation, crew, endFrom)), slot)
  let at = firstEndingAfter(open, start)
  for (;;) {
    start = gridAtOrAfter(context.shop.freeFrom(people, start, minutes, horizon), slot)
    while (at < open.length && open[at]!.to <= start) at++
    if (at === open.length) return undefined
    if (open[at]!.from > start) start = gridAtOrAfter(open[at]!.from, slot)
    if (start + minutes >= beat) return undefined
    const end = start < open[at]!.to ? endOfWork(operation, minutes, open, at, start) : undefined
    if (end === undefined) {
      // Work that pauses and finds no end here will find none later.
      if (start < open[at]!.to && operation.mode === 'pausable') return undefined
      if (++at === open.length) return undefined
      start = gridAtOrAfter(open[at]!.from, slot)
      continue
    }
    if (end >= beat) return undefined
    if (end < endFrom) {
      start += slot
      continue
    }
    const clash = clashOf(context, operation, place, placed, people, start, end)
    const behind =
      clash?.to ??
      (blinks(context) ? (context.shop.nextUseEnd(people, end) ?? open[at + 1]?.from) : undefined)
    if (behind === undefined) return { from: start, to: end }
    start = gridAtOrAfter(behind, slot)
  }
}

/** The first minute from `from` on at which nothing is in the way of what nobody attends to. */
function freeFrom(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  from: number,
): number {
  const { minutes } = operation
  let start = from
  for (;;) {
    const clash = clashOf(context, operation, place, placed, [], start, start + minutes)
    if (!clash || start > context.model.horizon) return start
    start = clash.to
  }
}

/** The last minute up to `from` at which nothing is in its way; may be before all time. */
function freeUntil(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  from: number,
): number {
  const { minutes } = operation
  let start = from
  for (;;) {
    const clash = clashOf(context, operation, place, placed, [], start, start + minutes)
    if (!clash || start < context.model.earliest) return start
    start = clash.from - minutes
  }
}

/** The latest slot of one crew that ends by `end` and starts by `start`, but not before `notBefore`. */
function latestOf(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  { people, open }: Crew,
  latest: { start: number; end: number },
  notBefore: number,
): Interval | undefined {
  const { slot } = context.model
  const minutes = minutesWith(operation, people)
  let by = latest.end
  let start = latest.start
  for (;;) {
    const raw = operation.mode === 'solid' ? by - minutes : workStart(open, by, minutes)
    if (raw === undefined) return undefined
    start = gridAtOrBefore(Math.min(start, raw), slot)
    const at = lastBeginningBefore(open, start + 1)
    if (at < 0 || start < notBefore) return undefined
    const { from, to } = open[at]!
    // The grid may have led out of open time; then the last start before it closed is next.
    const lastHere = operation.mode === 'solid' ? to - minutes - operation.room.over : to - 1
    if (start > lastHere) {
      start = lastHere
      if (gridAtOrBefore(start, slot) < from) start = from - 1
      continue
    }
    const end = endOfWork(operation, minutes, open, at, start)
    if (end === undefined || end > by) {
      start--
      continue
    }
    const clash = clashOf(context, operation, place, placed, people, start, end)
    if (!clash) return { from: start, to: end }
    by = clash.from
  }
}

/** The slot that ends soonest of these crews, where that is sooner than `best`. */
function soonestOf(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  crews: readonly Crew[],
  from: number,
  endFrom: number,
  best: OperationPlacement | undefined,
): OperationPlacement | undefined {
  const { horizon } = context.model
  for (const crew of crews) {
    if (best && blinks(context)) continue
    const slot = operation.pin
      ? slotAt(context, operation, place, placed, crew, from)
      : earliestOf(context, operation, place, placed, crew, from, endFrom, best?.end ?? horizon + 1)
    if (slot && (!best || slot.to < best.end))
      best = { start: slot.from, end: slot.to, people: crew.people, place }
  }
  return best
}

/**
 * The slot of an operation that ends soonest among those starting no earlier than `earliest` and ending no earlier than
 * `endFrom`, with the crew that takes it; undefined where none is left before the horizon. A pinned operation has one slot
 * or none.
 */
export function earliestSlot(
  context: SlotContext,
  operation: ModelOperation,
  place: number,
  earliest: number,
  placed: Placed = [],
  endFrom = Number.NEGATIVE_INFINITY,
): OperationPlacement | undefined {
  const { pin } = operation
  const { model } = context
  if (pin && pin.start < earliest) return undefined
  const from =
    pin?.start ??
    (operation.mode === 'unattended' ? Math.max(earliest, endFrom - operation.minutes) : earliest)
  if (operation.mode === 'unattended') {
    const start = freeFrom(context, operation, place, placed, from)
    const end = start + operation.minutes
    return end <= model.horizon && (!pin || start === from) ? { start, end, people: [], place } : undefined
  }
  const held = endFrom > Number.NEGATIVE_INFINITY
  // Who may do it hangs on who does the rest of the job.
  const isApart = operation.judges !== undefined || operation.judgedBy !== undefined
  const known = held || isApart ? undefined : context.known?.get(operation)
  if (known && known.from <= from && from <= known.slot.start && known.slot.place === place) return known.slot
  const { apart, others } = crewsInTurn(context, operation, place, placed)
  const fresh = soonestOf(context, operation, place, placed, apart, from, endFrom, undefined)
  const soon =
    others.length === 0 ? fresh : soonestOf(context, operation, place, placed, others, from, endFrom, fresh)
  const waits = operation.judges && !context.judgesItself ? WAITS_FOR_FRESH_EYES : 0
  const best = fresh && soon && fresh.end <= soon.end + waits ? fresh : soon
  // What the job's own operations leave room for changes as they are placed; only the shop stays as it is.
  if (best && !pin && !held && operation.beside.length === 0 && !isApart)
    context.known?.set(operation, { from, slot: best })
  return best
}

/**
 * The slot of an operation that starts latest among those that end by `latest.end` and start by `latest.start`, no
 * earlier than where it lies now. The slot it has is kept where none is later; undefined where even that breaks a limit.
 */
export function latestSlot(
  context: SlotContext,
  operation: ModelOperation,
  current: OperationPlacement,
  latest: { start: number; end: number },
  placed: Placed,
): OperationPlacement | undefined {
  const { place } = current
  const kept = current.end <= latest.end && current.start <= latest.start ? current : undefined
  if (operation.pin) return kept
  if (operation.mode === 'unattended') {
    const start = freeUntil(
      context,
      operation,
      place,
      placed,
      Math.min(latest.start, latest.end - operation.minutes),
    )
    return start < current.start ? undefined : { ...current, start, end: start + operation.minutes }
  }
  let best = kept
  const { apart, others } = crewsInTurn(context, operation, place, placed)
  for (const crew of [...apart, ...others]) {
    const slot = latestOf(
      context,
      operation,
      place,
      placed,
      crew,
      latest,
      (best?.start ?? current.start - 1) + 1,
    )
    if (slot) best = { start: slot.from, end: slot.to, people: crew.people, place }
  }
  return best
}

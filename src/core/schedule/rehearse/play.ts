import { firstEndingAfter, type Interval } from '../contract/intervals'
import { minutesWith } from '../solver/model'
import { workEnd } from '../solver/work-time'
import type { Step } from './order'

/** One run of a plan with the luck of that run. */

/** When a step is done in a run, and the step it had to wait for, by index, where it waited for one. */
export type Played = Interval & { readonly behind?: number | undefined }

export type Rules = {
  /** Whether work may begin before it is planned to, as soon as all it waits for is over. */
  early: boolean
  /** By how much work that cannot be left may outrun the shift, minutes; else it is begun in the next. */
  tolerate: number
}

/** When solid work begins and ends: in the first open stretch that it outruns by no more than is tolerated; where none is long enough, in the first. */
function solidSlot(
  open: readonly Interval[],
  from: number,
  minutes: number,
  tolerate: number,
): Interval | undefined {
  const first = firstEndingAfter(open, from)
  for (let at = first; at < open.length; at++) {
    const start = Math.max(from, open[at]!.from)
    if (start + minutes <= open[at]!.to + tolerate) return { from: start, to: start + minutes }
  }
  const start = open[first] && Math.max(from, open[first].from)
  return start === undefined ? undefined : { from: start, to: start + minutes }
}

function slotOf({ operation, people, open }: Step, from: number, factor: number, tolerate: number): Interval {
  const minutes =
    operation.mode === 'unattended' ? operation.minutes : minutesWith(operation, people) * factor
  if (operation.mode === 'unattended') return { from, to: from + minutes }
  const slot =
    operation.mode === 'solid' ? solidSlot(open, from, minutes, tolerate) : pausableSlot(open, from, minutes)
  // Beyond all calendars: it is late whatever comes.
  return slot ?? { from, to: from + minutes }
}

function pausableSlot(open: readonly Interval[], from: number, minutes: number): Interval | undefined {
  const at = firstEndingAfter(open, from)
  const end = workEnd(open, from, minutes)
  return end === undefined ? undefined : { from: Math.max(from, open[at]!.from), to: end }
}

/** The step clear of all spans in which it must not lie. */
function clear(step: Step, slot: (from: number) => Interval, from: number): Interval {
  let found = slot(from)
  for (let at = 0; at < step.operation.notDuring.length; at++) {
    const span = step.operation.notDuring.find((each) => each.from < found.to && found.from < each.to)
    if (!span) break
    found = slot(span.to)
  }
  return found
}

/**
 * Plays a plan out: everybody keeps to its order, and what runs over pushes what follows. `steps` in the order of the plan, `factors` on
 * their minutes, one each. When each begins and ends, minutes from the origin.
 */
// Hundreds of times a second while a plan is looked for: it makes no objects but what it gives.
export function playOut(
  steps: readonly Step[],
  factors: readonly number[],
  { early, tolerate }: Rules,
): Played[] {
  const played: Played[] = []
  for (const [index, step] of steps.entries()) {
    const { planned, operation, job, after } = step
    // What is past has happened as it is written.
    if (operation.pin && planned.to <= 0) {
      played.push(planned)
      continue
    }
    const soon = (early && !operation.begun) || operation.byItself
    let from = soon ? Math.max(0, job.arrive, operation.dryFrom ?? 0) : planned.from
    let behind: number | undefined
    for (let at = 0; at < after.length; at++) {
      const { step: before, wait } = after[at]!
      const over = (played[before]?.to ?? 0) + wait
      if (over <= from) continue
      from = over
      behind = before
    }
    const factor = factors[index]!
    const slot =
      operation.notDuring.length === 0
        ? slotOf(step, from, factor, tolerate)
        : clear(step, (at) => slotOf(step, at, factor, tolerate), from)
    played.push({ from: slot.from, to: slot.to, behind })
  }
  return played
}

import type { PersonId } from '../ids'
import { openSpans, type Problem } from '../schedule'
import { type Instant, minutesBetween, plusMinutes } from '../time'

/** How much a layer may overrun before the plan for it, or for the next, no longer holds. */

/** The shift in which work lies is looked for so many minutes before and after its start. */
const AROUND_MINUTES = 1440

type Hours = Pick<Problem, 'calendars' | 'people' | 'timezone'>
type Planned = { start: Instant; end: Instant; people: readonly PersonId[] }

/** When the first of those who do it leaves; undefined where nobody is planned for it, or outside their hours. */
function shiftEnd(
  { calendars, people, timezone }: Hours,
  { start, people: own }: Planned,
): Instant | undefined {
  const ends = own.map((person): Instant | undefined => {
    const calendar = calendars[people.find(({ id }) => id === person)?.calendar ?? '']
    if (!calendar) return undefined
    const [from, to] = [plusMinutes(start, -AROUND_MINUTES), plusMinutes(start, AROUND_MINUTES)]
    return openSpans(calendar, timezone, from, to).find((span) => span.from <= start && start < span.to)?.to
  })
  return ends.reduce((first, end) => (first && end ? (end < first ? end : first) : undefined), ends[0])
}

/** Whether a layer may overrun by less than its minutes vary by: then the plan for what follows is not to be relied on. */
export const isTight = (
  spareMinutes: number,
  { minutes, spread }: { minutes: number; spread: number },
): boolean => spareMinutes < spread * minutes

/**
 * Minutes by which a layer may end later than planned, so that it is done before its own hands leave, and the next, which waits for
 * `wait` minutes, still fits into the shift in which it is planned; 0 where there is nothing to spare, undefined where nobody is
 * planned for either, or outside their hours.
 */
export function mayOverrun(hours: Hours, layer: Planned, wait: number, next: Planned): number | undefined {
  const [own, others] = [shiftEnd(hours, layer), shiftEnd(hours, next)]
  if (!own || !others) return undefined
  const lastStart = plusMinutes(others, -minutesBetween(next.start, next.end))
  const spare = Math.min(
    minutesBetween(layer.end, own),
    minutesBetween(plusMinutes(layer.end, wait), lastStart),
  )
  return Math.max(0, spare)
}

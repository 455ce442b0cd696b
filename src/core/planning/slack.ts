import type { PersonId } from '../ids'
import { openSpans, type Problem } from '../schedule'
import { type Instant, minutesBetween, plusMinutes } from '../time'

/** How much a layer may overrun before the next can no longer be begun as it is planned to be. */

/** A layer is looked for in the open hours of so many minutes before and after its start. */
const AROUND_MINUTES = 1440

type Next = { start: Instant; end: Instant; people: readonly PersonId[] }

/**
 * Minutes by which what ends at `end` may end later, so that what follows it after `wait` minutes still fits into the shift in which it is
 * planned; 0 where there is nothing to spare, undefined where nobody is planned for it or their hours are unknown.
 */
export function mayOverrun(
  { calendars, people, timezone }: Pick<Problem, 'calendars' | 'people' | 'timezone'>,
  end: Instant,
  wait: number,
  next: Next,
): number | undefined {
  const shiftEnds = next.people.flatMap((person): Instant[] => {
    const calendar = calendars[people.find(({ id }) => id === person)?.calendar ?? '']
    if (!calendar) return []
    const from = plusMinutes(next.start, -AROUND_MINUTES)
    const spans = openSpans(calendar, timezone, from, plusMinutes(next.start, AROUND_MINUTES))
    const own = spans.find((span) => span.from <= next.start && next.start < span.to)
    return own ? [own.to] : []
  })
  if (shiftEnds.length < next.people.length || shiftEnds.length === 0) return undefined
  const lastStart = plusMinutes(
    shiftEnds.reduce((a, b) => (a < b ? a : b)),
    -minutesBetween(next.start, next.end),
  )
  return Math.max(0, minutesBetween(plusMinutes(end, wait), lastStart))
}

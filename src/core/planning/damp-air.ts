import type { JobLink, PlannedOperation } from '../offer/operations'
import type { PlacedOperation, Problem } from '../schedule'
import { type Instant, minutesBetween } from '../time'

/** A stretch in which the air of the whole shop is too damp to coat; all other work goes on. */
export type DampAir = { from: Instant; until: Instant }

/**
 * The scheduler has calendars for people and places, but none for what is done. So a car whose coating must keep out of a
 * stretch is given a minute of nothing at its arrival, fixed there, from which the links to its coats measure: one is
 * laid no sooner than the air is dry again, or is done before it gets damp.
 */
export const AIR = ':air'
/** Where that minute passes: out of everybody's way. */
export const AIR_PLACE: Problem['places'][number] = {
  id: AIR,
  kinds: [AIR],
  capacity: 100_000,
  calendar: AIR,
}

/** Whether damp air matters to an operation: what is laid on a surface to harden there. */
export const isCoat = ({ kind }: Pick<PlannedOperation, 'kind'>) => kind === 'layer' || kind === 'surface'

export type Coat = { operation: PlannedOperation; planned: PlacedOperation | undefined }

/**
 * The links that keep coats not yet begun out of damp air. A coat that was planned to be done before it stays before it;
 * all others wait, and all of them do where `allAfter`. Empty where nothing is in the way.
 */
export function linksByAir(
  damp: readonly DampAir[],
  arrive: Instant,
  coats: readonly Coat[],
  { earliest, allAfter }: { earliest: Instant; allAfter: boolean },
): JobLink[] {
  return coats.flatMap(({ operation, planned }): JobLink[] => {
    let min = 0
    let max = Number.POSITIVE_INFINITY
    for (const { from, until } of damp) {
      const isBefore = !allAfter && planned && planned.start >= earliest && planned.end <= from
      if (isBefore) max = Math.min(max, minutesBetween(arrive, from) - operation.minutes - 1)
      else min = Math.max(min, minutesBetween(arrive, until) - 1)
    }
    if (min === 0 && max === Number.POSITIVE_INFINITY) return []
    const link = { from: AIR, to: operation.id, min }
    return [max === Number.POSITIVE_INFINITY ? link : { ...link, max }]
  })
}

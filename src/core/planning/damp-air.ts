import type { PlannedOperation } from '../offer/job-plan'
import type { DryAir, PlacedOperation } from '../schedule'
import { epochMinutes, fromEpochMinutes, type Instant, laterOf, plusMinutes } from '../time'

/** A stretch in which the air of the whole shop is too damp to coat; all other work goes on. */
export type DampAir = { from: Instant; until: Instant }

/** The whole minute at or after a moment: nothing is planned by the second. */
const minuteFrom = (at: Instant) => fromEpochMinutes(Math.ceil(Date.parse(at) / 60_000))

/** Whether damp air matters to an operation: what is applied to a surface to harden there. */
export const isCoat = ({ kind }: Pick<PlannedOperation, 'kind'>) => kind === 'layer' || kind === 'surface'

/**
 * When a coat not yet begun may be, so that it keeps out of damp air. One that was planned to be done before it stays before
 * it; all others wait, and all of them do where `allAfter`. Undefined where nothing is in the way.
 */
export function dryAirFor(
  damp: readonly DampAir[],
  operation: PlannedOperation,
  planned: PlacedOperation | undefined,
  { earliest, allAfter }: { earliest: Instant; allAfter: boolean },
): DryAir | undefined {
  const dry: DryAir = {}
  for (const { from, until } of damp) {
    const isBefore = !allAfter && planned && planned.start >= earliest && planned.end <= from
    const last = plusMinutes(fromEpochMinutes(epochMinutes(from)), -operation.minutes)
    if (isBefore) dry.by = dry.by && dry.by < last ? dry.by : last
    else dry.from = dry.from ? laterOf(dry.from, minuteFrom(until)) : minuteFrom(until)
  }
  return dry.from || dry.by ? dry : undefined
}

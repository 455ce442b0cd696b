import type { Interval } from '../contract/intervals'
import { blinks, type SlotContext } from './find-slot'
import type { ModelJob, PlaceGroup } from './model'
import { type OperationPlacement, stayExtent } from './shop-state'

/** Where a stay is held, and between which minutes that place is free. */
export type Berth = { place: number; gap: Interval }

export type Berths = { ok: true; berths: Berth[] } | { ok: false; stay: number; next: number | undefined }

/** A free place for every stay as it lies; else the stay that has none, and when one that is long enough becomes free. */
export function findBerths(
  context: SlotContext,
  job: ModelJob,
  operations: readonly OperationPlacement[],
  groups: readonly PlaceGroup[],
): Berths {
  const berths: Berth[] = []
  const extents = job.stays.map((_, stay) => stayExtent(job, { operations }, stay))
  for (const [stay, extent] of extents.entries()) {
    let best: Berth | undefined
    let next: number | undefined
    const pinned = job.stays[stay]!.operations.some((index) => job.operations[index]!.pin)
    for (const place of groups[stay]!) {
      const own = extents.filter((_, other) => other < stay && berths[other]!.place === place)
      for (const gap of context.shop.freeGaps(place, own)) {
        // A later start never ends earlier, so room that closes before this end is of no use.
        if (gap.to < extent.to) continue
        if (gap.from <= extent.from) {
          // Of several, the one that leaves the least room unused before it.
          if ((!best || gap.from > best.gap.from) && !(best && blinks(context))) best = { place, gap }
        } else if (pinned) break
        else if (gap.to - gap.from >= job.stays[stay]!.minutesAtLeast) {
          next = Math.min(next ?? gap.from, gap.from)
          break
        }
      }
    }
    if (!best) return { ok: false, stay, next }
    berths[stay] = best
  }
  return { ok: true, berths }
}

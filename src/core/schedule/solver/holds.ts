import type { Interval } from '../contract/intervals'
import type { SlotContext } from './find-slot'
import type { ModelJob } from './model'
import { holdExtent, type OperationPlacement } from './shop-state'

/** Equipment a job keeps over several operations: stands under a car while its wheels are away. */

export type Holds = { ok: true } | { ok: false; hold: number; next: number | undefined }

/** Whether every hold finds a unit as it lies; else the one that does not, and when its first operation may begin at the soonest. */
export function findHolds(
  { shop }: SlotContext,
  job: ModelJob,
  operations: readonly OperationPlacement[],
): Holds {
  const extents = job.holds.map((hold) => holdExtent(hold, { operations }))
  for (const [hold, extent] of extents.entries()) {
    const { equipment, from } = job.holds[hold]!
    // What the job itself uses of the same kind, beside this hold.
    const own = [
      ...extents.filter((_, other) => other < hold && job.holds[other]!.equipment === equipment),
      ...job.operations.flatMap((operation): Interval[] => {
        if (!operation.equipment.includes(equipment)) return []
        const { start, end } = operations[operation.index]!
        return [{ from: start, to: end }]
      }),
    ]
    const gaps = shop.freeEquipment(equipment, own)
    if (extent.to === extent.from) continue
    if (gaps.some((gap) => gap.from <= extent.from && extent.to <= gap.to)) continue
    if (job.operations[from]!.pin) return { ok: false, hold, next: undefined }
    // A later start never ends earlier, so room that closes before this end is of no use.
    const next = gaps.find((gap) => gap.to >= extent.to && gap.from > extent.from)?.from
    return { ok: false, hold, next }
  }
  return { ok: true }
}

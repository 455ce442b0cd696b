import { latestSlot, type SlotContext } from './find-slot'
import { findHolds } from './holds'
import type { ModelJob, ModelOperation } from './model'
import { type Placed, ROUNDS_MAX } from './place-job'
import { freeBy } from './room'
import { type OperationPlacement, stayExtent } from './shop-state'

/** When each stay must be over: the last ones when they are now, those before them when their place is wanted again. */
function latestEnds(job: ModelJob, { placement, berths }: Placed): number[] {
  const ends = job.stays.map((_, stay) => stayExtent(job, placement, stay).to)
  const end = Math.max(...ends)
  return ends.map((own, stay) => {
    const alone = berths.every(({ place }, other) => other === stay || place !== berths[stay]!.place)
    return alone ? Math.min(end, berths[stay]!.gap.to) : own
  })
}

/** When work of the people who do it now has to end to leave so much of their shift before `next`. */
function endedBy(
  { model }: SlotContext,
  { equipment }: ModelOperation,
  { people, place }: OperationPlacement,
  next: number,
  behind: number,
): number {
  return behind === 0 ? next : freeBy(model.openFor(people, place, equipment), next, behind)
}

/**
 * The same job with every operation as late as it can be while no stay ends later, so that bays are held no longer than
 * the work needs. Undefined where the operations that lie between windows leave no later schedule.
 */
export function drawTogether(context: SlotContext, job: ModelJob, placed: Placed): Placed | undefined {
  const order = job.order!
  const drawn: OperationPlacement[] = [...placed.placement.operations]
  const last = latestEnds(job, placed)
  const startBy: number[] = job.operations.map(({ dryUntil }) => dryUntil ?? Number.POSITIVE_INFINITY)
  let position = order.length - 1
  for (let round = 0; round < ROUNDS_MAX; round++) {
    for (let at = position; at >= 0; at--) {
      const operation = job.operations[order[at]!]!
      const current = placed.placement.operations[operation.index]!
      let end = last[operation.stay]!
      for (const link of job.links)
        if (link.from === operation.index)
          end = Math.min(
            end,
            endedBy(context, operation, current, drawn[link.to]!.start - link.min, link.behind),
          )
      const slot = latestSlot(context, operation, current, { start: startBy[operation.index]!, end }, drawn)
      if (!slot) return undefined
      drawn[operation.index] = slot
    }
    const wide = job.links.find((link) => drawn[link.to]!.start - drawn[link.from]!.end > link.max)
    if (!wide)
      return findHolds(context, job, drawn).ok
        ? { ...placed, placement: { job: job.index, operations: drawn } }
        : undefined
    startBy[wide.to] = Math.min(startBy[wide.to]!, drawn[wide.from]!.end + wide.max)
    position = order.indexOf(wide.to)
  }
  return undefined
}

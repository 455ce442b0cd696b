import { jobCost } from './cost'
import type { Model, ModelJob } from './model'
import { type PlacedJob, type PlaceFailure, placeJob, settleAgain } from './place-job'
import type { ShopState } from './shop-state'
import { stayExtent } from './shop-state'

/** Later arrivals that are tried, days after the earliest: a car that waits outside blocks no bay (mem). */
const LATER_DAYS = [1, 2, 3] as const

export type Insertion = { ok: true; placed: PlacedJob; cost: number } | { ok: false; failure: PlaceFailure }

/**
 * The cheapest of the placements tried for one job in the shop as it stands: as early as possible, or started some
 * days later, each with its stays drawn together so that bays are not held for nothing. The shop is not changed.
 */
export function insertJob(model: Model, shop: ShopState, job: ModelJob, makespan = 0): Insertion {
  const first = placeAndTighten(model, shop, job, [], makespan)
  if (!first.ok) return first
  let best = first
  for (const days of LATER_DAYS) {
    if (job.pinned || model.problem.objective.hold === 0) break
    const from = Math.max(0, job.arrive) + days * 1440
    const later = placeAndTighten(
      model,
      shop,
      job,
      job.stays.map(() => from),
      makespan,
    )
    if (later.ok && later.cost < best.cost) best = later
  }
  return best
}

function placeAndTighten(
  model: Model,
  shop: ShopState,
  job: ModelJob,
  releases: readonly number[],
  makespan: number,
): Insertion {
  const attempt = placeJob(model, shop, job, releases)
  if (!attempt.ok) return attempt
  const { berths } = attempt.value
  let placed = attempt.value.placed
  let cost = jobCost(model, job, placed.placement, makespan)
  if (job.operations.every(({ pin }) => pin)) return { ok: true, placed, cost }
  const kept = job.stays.map((_, stay) => releases[stay] ?? Number.NEGATIVE_INFINITY)
  // The last stay first: drawing it together may leave the ones before it room to move.
  for (const stay of [...job.stays.keys()].reverse()) {
    const extent = stayExtent(job, placed.placement, stay)
    let low = Math.ceil(extent.from / model.slot)
    let high = Math.floor(extent.to / model.slot)
    while (low < high) {
      const middle = (low + high + 1) >> 1
      const tried = kept.with(stay, middle * model.slot)
      const again = settleAgain(model, shop, job, berths, tried)
      const price = again ? jobCost(model, job, again.placement, makespan) : Number.POSITIVE_INFINITY
      if (again && price <= cost) {
        low = middle
        placed = again
        cost = price
        kept[stay] = middle * model.slot
      } else high = middle - 1
    }
  }
  return { ok: true, placed, cost }
}

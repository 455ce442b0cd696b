import { findSlot } from './find-slot'
import type { Interval } from './intervals'
import type { Model, ModelJob, ModelLink, ModelOperation } from './model'
import { type JobPlacement, type OperationPlacement, type ShopState, stayExtent } from './shop-state'

/** How many free gaps of one place are considered before the next place is. */
const GAPS_PER_PLACE = 3
/** Rounds of pulling windows together before a job is given up; each round moves some start to a later slot. */
const ROUNDS_MAX = 4000

/** Why an operation starts when it does, for “why not earlier?”. Minutes from the origin. */
export type StartCause =
  | { kind: 'pinned' }
  | { kind: 'arrival' }
  | { kind: 'after'; operation: number; waitMinutes: number }
  | { kind: 'people'; from: number; behind: StartCause }
  | { kind: 'place'; from: number; behind: StartCause }
  | { kind: 'window'; next: number; behind: StartCause }
  | { kind: 'kept-short' }

export type PlaceFailure = {
  operation: number
  code: 'window-closed' | 'no-slot' | 'place-taken' | 'pin-broken' | 'no-place'
  /** For a closed window: the operation before it, and when the follower would have had to start. */
  window?: { after: number; opens: number; closes: number }
}

export type PlacedJob = { placement: JobPlacement; causes: StartCause[] }

type Attempt = { ok: true; placed: PlacedJob } | { ok: false; failure: PlaceFailure }

/** Where a stay is held, and between which minutes that place is free. */
type Berth = { place: number; gap: Interval }

/**
 * Places the stays of a job whose berths are given, every operation as early as it can be. Starts only ever move
 * later: first behind arrival, links and berth, then, where a follower misses its window, the operation before it
 * is held back. What results is the earliest of all schedules for these berths, or the proof that there is none.
 */
function settle(
  model: Model,
  shop: ShopState,
  job: ModelJob,
  berths: readonly Berth[],
  releases: readonly number[],
): Attempt {
  const inPrefix = (index: number) => berths[job.operations[index]!.stay] !== undefined
  const order = job.order!.filter((index) => inPrefix(index))
  const links = job.links.filter((link) => inPrefix(link.from) && inPrefix(link.to))
  const heldBack = new Map<number, { until: number; link: ModelLink }>()
  let missed: PlaceFailure | undefined

  for (let round = 0; round < ROUNDS_MAX; round++) {
    const laid: OperationPlacement[] = []
    const causes: StartCause[] = []
    for (const index of order) {
      const operation = job.operations[index]!
      const berth = berths[operation.stay]!
      const bound = startBound(job, operation, links, laid, berth, releases, heldBack.get(index))
      const own = laid.filter((other) => other !== undefined)
      const slot = findSlot({ model, shop, own }, operation, berth.place, bound.at)
      if (!slot || slot.end > berth.gap.to) {
        const code = operation.pin ? 'pin-broken' : slot ? 'place-taken' : 'no-slot'
        return { ok: false, failure: missed ?? { operation: index, code } }
      }
      laid[index] = slot
      causes[index] = operation.pin
        ? { kind: 'pinned' }
        : slot.start > bound.at
          ? { kind: 'people', from: bound.at, behind: bound.cause }
          : bound.cause
    }
    const late = links.find((link) => laid[link.to]!.start - laid[link.from]!.end > link.max)
    if (!late) return { ok: true, placed: { placement: { job: job.index, operations: laid }, causes } }
    const before = laid[late.from]!
    missed ??= {
      operation: late.to,
      code: 'window-closed',
      window: { after: late.from, opens: before.end + late.min, closes: before.end + late.max },
    }
    const until = startToEndAt(model, shop, job, late.from, laid, laid[late.to]!.start - late.max)
    if (until === undefined) return { ok: false, failure: missed }
    heldBack.set(late.from, { until, link: late })
  }
  return { ok: false, failure: missed ?? { operation: order[0]!, code: 'no-slot' } }
}

function startBound(
  job: ModelJob,
  operation: ModelOperation,
  links: readonly ModelLink[],
  laid: readonly OperationPlacement[],
  berth: Berth,
  releases: readonly number[],
  held: { until: number; link: ModelLink } | undefined,
): { at: number; cause: StartCause } {
  const origin = operation.pin ? Number.NEGATIVE_INFINITY : 0
  let bound: { at: number; cause: StartCause } = {
    at: Math.max(job.arrive, origin),
    cause: { kind: 'arrival' },
  }
  const raise = (at: number, cause: StartCause) => {
    if (at > bound.at) bound = { at, cause }
  }
  for (const link of links)
    if (link.to === operation.index)
      raise(laid[link.from]!.end + link.min, { kind: 'after', operation: link.from, waitMinutes: link.min })
  raise(berth.gap.from, { kind: 'place', from: bound.at, behind: bound.cause })
  if (held) raise(held.until, { kind: 'window', next: held.link.to, behind: bound.cause })
  raise(releases[operation.stay] ?? Number.NEGATIVE_INFINITY, { kind: 'kept-short' })
  return bound
}

/** The earliest start from which an operation ends no earlier than `end`; undefined if it has none. */
function startToEndAt(
  model: Model,
  shop: ShopState,
  job: ModelJob,
  index: number,
  laid: readonly OperationPlacement[],
  end: number,
): number | undefined {
  const operation = job.operations[index]!
  if (operation.pin) return undefined
  const current = laid[index]!
  if (operation.mode !== 'pausable') return Math.max(current.start + 1, end - operation.minutes)
  const own = laid.filter((other) => other !== undefined && other !== current)
  let start = current.start
  for (;;) {
    const slot = findSlot({ model, shop, own }, operation, current.place, start + 1)
    if (!slot) return undefined
    if (slot.end >= end) return slot.start
    start = slot.start
  }
}

/** Places of a stay that are worth telling apart: of several that are alike and empty, the first. */
function candidatePlaces(model: Model, shop: ShopState, job: ModelJob, stay: number): number[] {
  const pinned = job.stays[stay]!.operations.flatMap((index) => job.operations[index]!.pin?.place ?? [])
  if (pinned.length > 0)
    return pinned.every((place) => place === pinned[0]) && job.stays[stay]!.places.includes(pinned[0]!)
      ? [pinned[0]!]
      : []
  const seen = new Set<string>()
  return job.stays[stay]!.places.filter((place) => {
    if (!shop.placeIsUnused(place)) return true
    const { kinds, calendar, capacity } = model.problem.places[place]!
    const alike = JSON.stringify([[...kinds].sort(), calendar, capacity])
    if (seen.has(alike)) return false
    seen.add(alike)
    return true
  })
}

/** Each berth was found for its stay alone; two stays of one job in the same place must also fit together. */
function ownStaysFit(
  shop: ShopState,
  job: ModelJob,
  placement: JobPlacement,
  berths: readonly Berth[],
): boolean {
  const byPlace = new Map<number, Interval[]>()
  for (const stay of job.stays.keys()) {
    const berth = berths[stay]
    if (berth)
      byPlace.set(berth.place, [...(byPlace.get(berth.place) ?? []), stayExtent(job, placement, stay)])
  }
  return [...byPlace].every(([place, stays]) => stays.length < 2 || shop.holdsTogether(place, stays))
}

export type Berthed = { placed: PlacedJob; berths: Berth[] }

/**
 * Finds a berth for every stay and a start for every operation, stay by stay in the order of the work, taking the
 * berth that frees the car soonest and going back where a later stay finds none. The shop is not changed.
 */
export function placeJob(
  model: Model,
  shop: ShopState,
  job: ModelJob,
  releases: readonly number[] = [],
): { ok: true; value: Berthed } | { ok: false; failure: PlaceFailure } {
  const firstIn = (stay: number) =>
    Math.min(...job.stays[stay]!.operations.map((index) => job.order!.indexOf(index)))
  const stays = [...job.stays.keys()].sort((a, b) => firstIn(a) - firstIn(b))
  let failure: PlaceFailure = { operation: job.order![0]!, code: 'no-place' }

  const descend = (depth: number, berths: Berth[], soFar: JobPlacement | undefined): Berthed | undefined => {
    if (depth === stays.length) {
      const final = settle(model, shop, job, berths, releases)
      return final.ok ? { placed: final.placed, berths } : undefined
    }
    const stay = stays[depth]!
    const options: { berths: Berth[]; freed: number; placement: JobPlacement }[] = []
    /** Where the job's own earlier stays stand, this one can only come before or after. */
    const ownIn = (place: number) =>
      stays
        .slice(0, depth)
        .flatMap((own) => (soFar && berths[own]?.place === place ? [stayExtent(job, soFar, own)] : []))
    for (const place of candidatePlaces(model, shop, job, stay)) {
      let found = 0
      for (const gap of shop.freeGaps(place, ownIn(place))) {
        if (gap.to <= job.arrive || found === GAPS_PER_PLACE) continue
        const extended = [...berths]
        extended[stay] = { place, gap }
        const attempt = settle(model, shop, job, extended, releases)
        if (!attempt.ok) {
          failure = attempt.failure
          continue
        }
        const { placement } = attempt.placed
        if (!ownStaysFit(shop, job, placement, extended)) continue
        found++
        options.push({ berths: extended, freed: stayExtent(job, placement, stay).to, placement })
      }
    }
    options.sort((a, b) => a.freed - b.freed)
    for (const option of options) {
      const done = descend(depth + 1, option.berths, option.placement)
      if (done) return done
    }
    return undefined
  }
  const value = descend(0, [], undefined)
  return value ? { ok: true, value } : { ok: false, failure }
}

/** Places a job again in the same berths with other releases; undefined where that does not work. */
export function settleAgain(
  model: Model,
  shop: ShopState,
  job: ModelJob,
  berths: readonly Berth[],
  releases: readonly number[],
): PlacedJob | undefined {
  const attempt = settle(model, shop, job, [...berths], releases)
  return attempt.ok && ownStaysFit(shop, job, attempt.placed.placement, berths) ? attempt.placed : undefined
}

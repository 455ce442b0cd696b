import { type Berth, findBerths } from './berths'
import { earliestSlot, type SlotContext } from './find-slot'
import { findHolds } from './holds'
import type { ModelJob, ModelLink, ModelOperation, PlaceGroup } from './model'
import { readyAfter } from './room'
import type { JobPlacement, OperationPlacement } from './shop-state'

/** Rounds of pulling windows together before a job is given up; each round moves some start to a later slot. */
export const ROUNDS_MAX = 4000

/** Why an operation starts when it does, for “why not earlier?”. Minutes from the origin. */
export type StartCause =
  | { kind: 'pinned' }
  | { kind: 'arrival' }
  | { kind: 'after'; operation: number; waitMinutes: number }
  | { kind: 'dry-air' }
  | { kind: 'people'; from: number; behind: StartCause }
  | { kind: 'place'; from: number; behind: StartCause }
  | { kind: 'equipment'; equipment: number; from: number; behind: StartCause }
  | { kind: 'air'; from: number; behind: StartCause }
  | { kind: 'window'; next: number; behind: StartCause }

export type PlaceFailure = {
  operation: number
  code:
    | 'window-closed'
    | 'air-too-damp'
    | 'no-slot'
    | 'place-taken'
    | 'equipment-taken'
    | 'pin-broken'
    | 'no-place'
  /** The equipment that has no unit free for long enough. */
  equipment?: number
  /** For a closed window: the operation before it, and when the follower would have had to start. */
  window?: { after: number; opens: number; closes: number }
}

export type Placed = { placement: JobPlacement; berths: Berth[]; causes: StartCause[] }
export type PlaceAttempt = { ok: true; placed: Placed } | { ok: false; failure: PlaceFailure }

const ARRIVAL: StartCause = { kind: 'arrival' }

/** An operation that may not end before a minute, so that its follower meets its window. */
type HeldBack = { end: number; follower: number }

/**
 * Places a job as early as it can be beside what the shop holds already. Starts only ever move later: behind arrival,
 * links and free places, and where a follower misses its window, the operation before it is held back. What results is
 * the least of all schedules, or the proof that there is none (for the crews that are done soonest).
 */
class Placing {
  private readonly placed: (OperationPlacement | undefined)[] = []
  private readonly causes: StartCause[] = []
  private readonly heldBack: (HeldBack | undefined)[] = []
  /** When a place first becomes free for a stay, as far as it is known. */
  private readonly placeFrom: (number | undefined)[] = []
  /** When an operation may begin because equipment becomes free that is kept from then on. */
  private readonly heldFrom: ({ at: number; equipment: number } | undefined)[] = []
  private readonly linksTo: ModelLink[][]
  private readonly windows: ModelLink[]
  private readonly position: number[] = []
  private missed: PlaceFailure | undefined
  private rounds = 0

  constructor(
    private readonly context: SlotContext,
    private readonly job: ModelJob,
    private readonly groups: readonly PlaceGroup[],
    private readonly releases: readonly (number | undefined)[],
  ) {
    this.linksTo = job.operations.map(() => [])
    for (const link of job.links) this.linksTo[link.to]!.push(link)
    this.windows = job.links.filter(({ max }) => max !== Number.POSITIVE_INFINITY)
    for (const [at, index] of job.order!.entries()) this.position[index] = at
  }

  run(): PlaceAttempt {
    let from = 0
    for (;;) {
      const failure = this.settle(from)
      if (failure) return { ok: false, failure }
      const operations = this.placed as OperationPlacement[]
      const found = findBerths(this.context, this.job, operations, this.groups)
      if (found.ok) {
        const held = findHolds(this.context, this.job, operations)
        if (held.ok) return { ok: true, placed: this.berthed(operations, found.berths) }
        const { from: first, equipment } = this.job.holds[held.hold]!
        // It may find no later time at last: then the equipment is what it waited for.
        this.missed ??= { operation: first, code: 'equipment-taken', equipment }
        if (held.next === undefined || this.rounds++ > ROUNDS_MAX) return { ok: false, failure: this.missed }
        this.heldFrom[first] = { at: held.next, equipment }
        from = this.position[first]!
        continue
      }
      const { stay, next } = found
      const [first] = this.job.stays[stay]!.operations
      const code = this.job.operations[first!]!.pin ? 'pin-broken' : 'place-taken'
      if (next === undefined || this.rounds++ > ROUNDS_MAX)
        return { ok: false, failure: this.missed ?? { operation: first!, code } }
      this.placeFrom[stay] = next
      from = Math.min(...this.job.stays[stay]!.operations.map((index) => this.position[index]!))
    }
  }

  private berthed(placed: readonly OperationPlacement[], berths: Berth[]): Placed {
    const operations = placed.map((each, index) => {
      const { place } = berths[this.job.operations[index]!.stay]!
      return each.place === place ? each : { ...each, place }
    })
    return { placement: { job: this.job.index, operations }, berths, causes: this.causes }
  }

  /** Places the operations from a position of the order on, until every window is met or one cannot be. */
  private settle(from: number): PlaceFailure | undefined {
    let position = from
    for (;;) {
      const failure = this.layFrom(position)
      if (failure) return failure
      const damp = this.job.operations.find(
        ({ index, dryUntil }) => dryUntil !== undefined && this.placed[index]!.start > dryUntil,
      )
      // Starts only ever move later: what comes too late for the air now comes too late for it at last.
      if (damp) return this.missed ?? { operation: damp.index, code: 'air-too-damp' }
      const late = this.windows.find(
        (link) => this.placed[link.to]!.start - this.placed[link.from]!.end > link.max,
      )
      if (!late) return undefined
      const before = this.placed[late.from]!
      this.missed ??= {
        operation: late.to,
        code: 'window-closed',
        window: { after: late.from, opens: before.end + late.min, closes: before.end + late.max },
      }
      if (this.job.operations[late.from]!.pin || this.rounds++ > ROUNDS_MAX) return this.missed
      this.heldBack[late.from] = { end: this.placed[late.to]!.start - late.max, follower: late.to }
      position = this.position[late.from]!
    }
  }

  private layFrom(position: number): PlaceFailure | undefined {
    const order = this.job.order!
    for (let at = position; at < order.length; at++) {
      const operation = this.job.operations[order[at]!]!
      this.placed[operation.index] = this.pinnedSlot(operation)
    }
    for (let at = position; at < order.length; at++) {
      const index = order[at]!
      const operation = this.job.operations[index]!
      const earliest = this.startBound(operation)
      const [place] = this.groups[operation.stay]!
      const held = this.heldBack[index]
      const slot = earliestSlot(this.context, operation, place!, earliest, this.placed, held?.end)
      if (!slot) return this.missed ?? { operation: index, code: operation.pin ? 'pin-broken' : 'no-slot' }
      this.placed[index] = slot
      const behind = this.causes[index]!
      // Where the place was the longer wait, it is the reason, though nobody was there at the minute it became free.
      const longer = behind.kind === 'place' && earliest - behind.from >= slot.start - earliest
      if (operation.pin) this.causes[index] = { kind: 'pinned' }
      else if (slot.start > earliest && held && operation.mode === 'pausable')
        this.causes[index] = { kind: 'window', next: held.follower, behind }
      else if (slot.start > earliest && !longer)
        this.causes[index] = this.waited(operation, place!, earliest, behind)
    }
    return undefined
  }

  /** Where work that is pinned to its people lies, so that nothing of the job that comes before it in the order takes them away. */
  private pinnedSlot(operation: ModelOperation): OperationPlacement | undefined {
    const { pin, beside, mode, stay } = operation
    if (!pin || mode === 'unattended' || beside.length === 0) return undefined
    const [place] = this.groups[stay]!
    return earliestSlot(this.context, operation, place!, pin.start)
  }

  /** What keeps an operation that could begin otherwise: equipment without a unit free, the air, or else people. */
  private waited(operation: ModelOperation, place: number, from: number, behind: StartCause): StartCause {
    const { shop } = this.context
    const to = from + operation.minutes
    for (const equipment of operation.equipment)
      if (shop.equipmentClash(equipment, from, to)) return { kind: 'equipment', equipment, from, behind }
    const isAir = operation.air !== undefined && shop.airClash(operation, place, from, to)
    return { kind: isAir ? 'air' : 'people', from, behind }
  }

  /** When what comes first in a link is over, with the room behind it. */
  private overBy({ from, behind }: ModelLink): number {
    const { end, people, place } = this.placed[from]!
    if (behind === 0) return end
    return readyAfter(
      this.context.model.openFor(people, place, this.job.operations[from]!.equipment),
      end,
      behind,
    )
  }

  /** Before which minute an operation cannot start, and, in `causes`, why not. */
  private startBound(operation: ModelOperation): number {
    const { index, stay } = operation
    let at = operation.pin ? this.job.arrive : Math.max(this.job.arrive, 0, operation.notBefore ?? 0)
    let cause: StartCause = ARRIVAL
    for (const link of this.linksTo[index]!) {
      const opens = this.overBy(link) + link.min
      if (opens <= at) continue
      at = opens
      cause = { kind: 'after', operation: link.from, waitMinutes: link.min }
    }
    if (operation.dryFrom !== undefined && operation.dryFrom > at) {
      at = operation.dryFrom
      cause = { kind: 'dry-air' }
    }
    const free = this.placeFrom[stay]
    if (free !== undefined && free > at) {
      cause = { kind: 'place', from: at, behind: cause }
      at = free
    }
    const kept = this.heldFrom[index]
    if (kept && kept.at > at) {
      cause = { kind: 'equipment', equipment: kept.equipment, from: at, behind: cause }
      at = kept.at
    }
    const held = this.heldBack[index]
    // Work that pauses is held back by its end alone: who begins it later may be done sooner.
    if (held && operation.mode !== 'pausable' && !operation.shared && held.end - operation.minutes > at) {
      at = held.end - operation.minutes
      cause = { kind: 'window', next: held.follower, behind: cause }
    }
    const release = this.releases[stay]
    if (release !== undefined && release > at) at = release
    this.causes[index] = cause
    return at
  }
}

/** Places a job as early as it can be, with its stays in these places and no stay begun before its release. */
export function layEarly(
  context: SlotContext,
  job: ModelJob,
  groups: readonly PlaceGroup[],
  releases: readonly (number | undefined)[] = [],
): PlaceAttempt {
  const attempt = new Placing(context, job, groups, releases).run()
  if (!job.operations.some(({ judges }) => judges) || isInTime(job, attempt)) return attempt
  // Better inspected by somebody who worked on it than late, or not at all.
  const mixed = new Placing({ ...context, judgesItself: true }, job, groups, releases).run()
  return !attempt.ok || isInTime(job, mixed) ? mixed : attempt
}

const endOf = ({ placement }: Placed) => Math.max(...placement.operations.map(({ end }) => end))

const isInTime = ({ due }: ModelJob, attempt: PlaceAttempt) =>
  attempt.ok && (due === undefined || endOf(attempt.placed) <= due)

/** The earliest placement of a job in the shop as it stands, of all places; the shop is not changed. */
export function placeJob(context: SlotContext, job: ModelJob): PlaceAttempt {
  let best: PlaceAttempt = { ok: false, failure: { operation: job.order![0]!, code: 'no-place' } }
  for (const groups of job.placeChoices) {
    const attempt = layEarly(context, job, groups)
    if (!best.ok || (attempt.ok && endOf(attempt.placed) < endOf(best.placed))) best = attempt
  }
  return best
}

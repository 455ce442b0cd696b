import { firstEndingAfter, firstOverlap, type Interval } from '../contract/intervals'
import { type Model, type ModelHold, type ModelJob, type ModelOperation, minutesWith } from './model'
import { freeBy, readyAfter } from './room'
import { SharedAir } from './shared-air'
import { dropJob, insertSorted, UnitPool, type Use } from './unit-pool'

/** Whose use it is when it is of no job. */
const NOBODY = -1

/** When and where one operation is done. */
export type OperationPlacement = { start: number; end: number; people: readonly number[]; place: number }

/** A whole job on the calendar, operations by index. */
export type JobPlacement = { job: number; operations: OperationPlacement[] }

export function stayExtent(
  job: ModelJob,
  placement: { readonly operations: readonly OperationPlacement[] },
  stay: number,
): Interval {
  let from = Number.POSITIVE_INFINITY
  let to = Number.NEGATIVE_INFINITY
  for (const index of job.stays[stay]!.operations) {
    const { start, end } = placement.operations[index]!
    if (start < from) from = start
    if (end > to) to = end
  }
  return { from, to }
}

/** From the start of the first operation of a hold to the end of its last; nothing where that was over before. */
export function holdExtent(
  { from, to }: ModelHold,
  { operations }: { readonly operations: readonly OperationPlacement[] },
): Interval {
  const { start } = operations[from]!
  return { from: start, to: Math.max(start, operations[to]!.end) }
}

/** Who and what is taken when. Mutable, owned by one run of the solver. */
export class ShopState {
  private readonly people: Use[][]
  private readonly places: UnitPool[]
  private readonly equipment: UnitPool[]
  private readonly air: SharedAir
  private readonly openOf: Model['openOf']

  constructor(model: Model) {
    this.openOf = model.openOf
    const range = { from: model.earliest, to: model.horizon }
    this.people = model.personIds.map(() => [])
    this.places = model.capacity.map((capacity) => new UnitPool(capacity, range))
    this.equipment = model.equipment.map(({ capacity }) => new UnitPool(capacity, range))
    this.air = new SharedAir(model.airOf, range)
    for (const { place, ...time } of model.closed) this.takePlace(place, time)
    for (const { equipment, ...time } of model.broken)
      this.equipment[equipment]!.take({ ...time, job: NOBODY })
    for (const job of model.jobs) this.reserve(job)
  }

  /**
   * The first use of a person that shares a minute with [from, to) or with the room before it, and until when it is in the
   * way. A person does one thing at a time.
   */
  personClash(person: number, from: number, to: number, before = 0): Interval | undefined {
    const uses = this.people[person]!
    if (before === 0) return firstOverlap(uses, from, to)
    const open = this.openOf(person)
    const use = firstOverlap(uses, freeBy(open, from, before), to)
    return use && { from: use.from, to: readyAfter(open, use.to, before) }
  }

  /** The first minute from `from` on at which none of them is taken for `minutes` on end; at most `limit`. */
  freeFrom(people: readonly number[], from: number, minutes: number, limit: number): number {
    let free = from
    for (let settled = false; !settled && free < limit; ) {
      settled = true
      for (const person of people) {
        const uses = this.people[person]!
        for (let at = firstEndingAfter(uses, free); at < uses.length; at++) {
          if (uses[at]!.from >= free + minutes) break
          // Pins may lie on top of each other; the earlier of two ends must not lead back.
          if (uses[at]!.to <= free) continue
          free = uses[at]!.to
          settled = people.length === 1
        }
      }
    }
    return free
  }

  /** When the next thing any of them does after `minute` is over. */
  nextUseEnd(people: readonly number[], minute: number): number | undefined {
    let next: Use | undefined
    for (const person of people) {
      const uses = this.people[person]!
      const use = uses[firstEndingAfter(uses, minute)]
      if (use && (!next || use.from < next.from)) next = use
    }
    return next?.to
  }

  /** Stretches in which a place has a unit free, within the range of the problem; `also` is taken as well. */
  freeGaps(place: number, also: readonly Interval[] = []): readonly Interval[] {
    return this.places[place]!.freeGaps(also)
  }

  /** The same of a kind of equipment. */
  freeEquipment(piece: number, also: readonly Interval[] = []): readonly Interval[] {
    return this.equipment[piece]!.freeGaps(also)
  }

  /** The first stretch without a free unit that shares a minute with [from, to). */
  equipmentClash(
    piece: number,
    from: number,
    to: number,
    also: readonly Interval[] = [],
  ): Interval | undefined {
    return this.equipment[piece]!.firstTaken(from, to, also)
  }

  /** The first stretch of [from, to) in which another car forbids an operation the air of a place. */
  airClash(operation: ModelOperation, place: number, from: number, to: number): Interval | undefined {
    return this.air.clash(operation, place, from, to)
  }

  /** Takes a job off the calendar; what its pins reserve goes with it. */
  remove(job: number): void {
    for (const uses of this.people) dropJob(uses, job)
    for (const pool of this.places) pool.drop(job)
    for (const pool of this.equipment) pool.drop(job)
    this.air.drop(job)
  }

  commit(job: ModelJob, placement: JobPlacement): void {
    if (job.pinned) this.remove(job.index)
    for (const [index, { start, end, people, place }] of placement.operations.entries()) {
      const use = { from: start, to: end, job: job.index }
      this.air.take(job.operations[index]!, place, use)
      for (const person of people)
        insertSorted(this.people[person]!, this.withRoom(job, placement, index, person))
      for (const piece of job.operations[index]!.equipment) this.equipment[piece]!.take(use)
    }
    for (const stay of job.stays.keys()) {
      const { place } = placement.operations[job.stays[stay]!.operations[0]!]!
      this.places[place]!.take({ ...stayExtent(job, placement, stay), job: job.index })
    }
    for (const hold of job.holds)
      this.equipment[hold.equipment]!.take({ ...holdExtent(hold, placement), job: job.index })
  }

  /** An operation with the room before it, but for what its person does for the same job. */
  private withRoom(job: ModelJob, { operations }: JobPlacement, index: number, person: number): Use {
    const { start, end } = operations[index]!
    let from = freeBy(this.openOf(person), start, job.operations[index]!.room.before)
    if (from < start)
      for (const other of operations)
        if (other.end <= start && other.end > from && other.people.includes(person)) from = other.end
    return { from, to: end, job: job.index }
  }

  /** Keeps the people, places and equipment of pinned operations free for them until their job is placed. */
  reserve(job: ModelJob): void {
    if (!job.pinned) return
    for (const operation of job.operations) {
      const { pin, equipment } = operation
      if (!pin) continue
      const to = pin.start + minutesWith(operation, pin.people)
      const use = { from: pin.start, to, job: job.index }
      for (const person of pin.people ?? []) insertSorted(this.people[person]!, use)
      if (pin.place !== undefined) {
        this.places[pin.place]!.take(use)
        this.air.take(operation, pin.place, use)
      }
      for (const piece of equipment) this.equipment[piece]!.take(use)
    }
  }

  /** Takes a person for nobody’s job: the rest of a day that is written in for one car. */
  takePerson(person: number, time: Interval): void {
    insertSorted(this.people[person]!, { ...time, job: NOBODY })
  }

  /** The same for a place. */
  takePlace(place: number, time: Interval): void {
    this.places[place]!.take({ ...time, job: NOBODY })
  }

  /** Gives back what was taken for nobody’s job. */
  leavePlace(place: number, time: Interval): void {
    this.places[place]!.give({ ...time, job: NOBODY })
  }
}

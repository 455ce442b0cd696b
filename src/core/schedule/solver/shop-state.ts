import { firstEndingAfter, firstOverlap, type Interval } from '../contract/intervals'
import type { Model, ModelJob } from './model'

/** One use of a person or a place by a job. */
type Use = Interval & { job: number }

/** Whose use it is when it is of no job. */
const NOBODY = -1

/** When and where one operation is done. */
export type OperationPlacement = { start: number; end: number; people: readonly number[]; place: number }

/** A whole job on the calendar, operations by index. */
export type JobPlacement = { job: number; operations: OperationPlacement[] }

function insertSorted(uses: Use[], use: Use): void {
  let at = uses.length
  while (at > 0 && uses[at - 1]!.from > use.from) at--
  uses.splice(at, 0, use)
}

/** Beginnings and ends in the order of time; what ends at a minute makes room for what begins at it. */
function edgesOf(intervals: readonly Interval[]): { at: number; by: 1 | -1 }[] {
  return intervals
    .flatMap(({ from, to }) => [
      { at: from, by: 1 as const },
      { at: to, by: -1 as const },
    ])
    .sort((a, b) => a.at - b.at || a.by - b.by)
}

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

/** Who and what is taken when. Mutable, owned by one run of the solver. */
export class ShopState {
  private readonly people: Use[][]
  private readonly places: Use[][]
  private readonly gaps: (readonly Interval[] | undefined)[]

  constructor(private readonly model: Model) {
    this.people = model.personIds.map(() => [])
    this.places = model.placeIds.map(() => [])
    this.gaps = model.placeIds.map(() => undefined)
    for (const { place, ...time } of model.closed) this.takePlace(place, time)
    for (const job of model.jobs) this.reserve(job)
  }

  /** The first use of a person that shares a minute with [from, to). A person does one thing at a time. */
  personClash(person: number, from: number, to: number): Interval | undefined {
    return firstOverlap(this.people[person]!, from, to)
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
    if (also.length > 0) return this.gapsBetween(place, [...this.places[place]!, ...also])
    this.gaps[place] ??=
      this.model.capacity[place] === 1 ? this.gapsOfOne(place) : this.gapsBetween(place, this.places[place]!)
    return this.gaps[place]!
  }

  /** Where only one car fits, uses follow each other; pins may lie on top of each other. */
  private gapsOfOne(place: number): Interval[] {
    const gaps: Interval[] = []
    let free = this.model.earliest
    for (const { from, to } of this.places[place]!) {
      if (from > free) gaps.push({ from: free, to: from })
      if (to > free) free = to
    }
    if (free < this.model.horizon) gaps.push({ from: free, to: this.model.horizon })
    return gaps
  }

  private gapsBetween(place: number, uses: readonly Interval[]): Interval[] {
    const capacity = this.model.capacity[place]!
    const gaps: Interval[] = []
    let taken = 0
    let from = this.model.earliest
    for (const { at, by } of edgesOf(uses)) {
      const wasFree = taken < capacity
      taken += by
      if (wasFree && taken >= capacity && at > from) gaps.push({ from, to: at })
      if (!wasFree && taken < capacity) from = at
    }
    if (taken < capacity && from < this.model.horizon) gaps.push({ from, to: this.model.horizon })
    return gaps
  }

  /** Takes a job off the calendar; what its pins reserve goes with it. */
  remove(job: number): void {
    for (const uses of this.people) dropJob(uses, job)
    for (const [place, uses] of this.places.entries()) if (dropJob(uses, job)) this.gaps[place] = undefined
  }

  commit(job: ModelJob, placement: JobPlacement): void {
    if (job.pinned) this.remove(job.index)
    for (const { start, end, people } of placement.operations)
      for (const person of people)
        insertSorted(this.people[person]!, { from: start, to: end, job: job.index })
    for (const stay of job.stays.keys()) {
      const { place } = placement.operations[job.stays[stay]!.operations[0]!]!
      this.occupy(place, { ...stayExtent(job, placement, stay), job: job.index })
    }
  }

  /** Keeps the people and places of pinned operations free for them until their job is placed. */
  reserve(job: ModelJob): void {
    if (!job.pinned) return
    for (const { pin, minutes } of job.operations) {
      if (!pin) continue
      const use = { from: pin.start, to: pin.start + minutes, job: job.index }
      for (const person of pin.people ?? []) insertSorted(this.people[person]!, use)
      if (pin.place !== undefined) this.occupy(pin.place, use)
    }
  }

  /** Takes a person for nobody’s job: the rest of a day that is written in for one car. */
  takePerson(person: number, time: Interval): void {
    insertSorted(this.people[person]!, { ...time, job: NOBODY })
  }

  /** The same for a place. */
  takePlace(place: number, time: Interval): void {
    this.occupy(place, { ...time, job: NOBODY })
  }

  /** Gives back what was taken for nobody’s job. */
  leavePlace(place: number, { from, to }: Interval): void {
    const uses = this.places[place]!
    const at = uses.findIndex((use) => use.job === NOBODY && use.from === from && use.to === to)
    if (at >= 0) uses.splice(at, 1)
    this.gaps[place] = undefined
  }

  private occupy(place: number, use: Use): void {
    insertSorted(this.places[place]!, use)
    this.gaps[place] = undefined
  }
}

/** Takes the uses of a job out of a list; says whether there were any. */
function dropJob(uses: Use[], job: number): boolean {
  let kept = 0
  while (kept < uses.length && uses[kept]!.job !== job) kept++
  for (let at = kept + 1; at < uses.length; at++) if (uses[at]!.job !== job) uses[kept++] = uses[at]!
  const dropped = kept < uses.length
  uses.length = kept
  return dropped
}

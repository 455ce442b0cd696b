import { firstOverlap, type Interval } from './intervals'
import type { Model, ModelJob } from './model'

/** One use of a person or a place by a job. */
type Use = Interval & { job: number }

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

export function stayExtent(job: ModelJob, placement: JobPlacement, stay: number): Interval {
  const operations = job.stays[stay]!.operations.map((index) => placement.operations[index]!)
  return {
    from: Math.min(...operations.map(({ start }) => start)),
    to: Math.max(...operations.map(({ end }) => end)),
  }
}

/** Who and what is taken when. Mutable, owned by one run of the solver. */
export class ShopState {
  private readonly people: Use[][]
  private readonly places: Use[][]

  constructor(private readonly model: Model) {
    this.people = model.personIds.map(() => [])
    this.places = model.placeIds.map(() => [])
    for (const job of model.jobs) this.reserve(job)
  }

  /** The first use of a person that shares a minute with [from, to). A person does one thing at a time. */
  personClash(person: number, from: number, to: number): Interval | undefined {
    return firstOverlap(this.people[person]!, from, to)
  }

  /** Stretches in which a place has a unit free, within the range of the problem; `also` is taken as well. */
  freeGaps(place: number, also: readonly Interval[] = []): Interval[] {
    const capacity = this.model.capacity[place]!
    const gaps: Interval[] = []
    let taken = 0
    let from = this.model.earliest
    for (const { at, by } of edgesOf([...this.places[place]!, ...also])) {
      const wasFree = taken < capacity
      taken += by
      if (wasFree && taken >= capacity && at > from) gaps.push({ from, to: at })
      if (!wasFree && taken < capacity) from = at
    }
    if (taken < capacity && from < this.model.horizon) gaps.push({ from, to: this.model.horizon })
    return gaps
  }

  /** Whether all of `stays` can be in a place at once, beside what is there already. */
  holdsTogether(place: number, stays: readonly Interval[]): boolean {
    let taken = 0
    for (const { by } of edgesOf([...this.places[place]!, ...stays])) {
      taken += by
      if (taken > this.model.capacity[place]!) return false
    }
    return true
  }

  placeIsUnused(place: number): boolean {
    return this.places[place]!.length === 0
  }

  /** Takes a job, and what its pins reserved, off the calendar. */
  remove(job: number): void {
    for (const list of [...this.people, ...this.places]) {
      const kept = list.filter((use) => use.job !== job)
      if (kept.length < list.length) list.splice(0, list.length, ...kept)
    }
  }

  commit(job: ModelJob, placement: JobPlacement): void {
    this.remove(job.index)
    for (const { start, end, people } of placement.operations)
      for (const person of people)
        insertSorted(this.people[person]!, { from: start, to: end, job: job.index })
    for (const stay of job.stays.keys()) {
      const place = placement.operations[job.stays[stay]!.operations[0]!]!.place
      insertSorted(this.places[place]!, { ...stayExtent(job, placement, stay), job: job.index })
    }
  }

  /** Keeps the people and places of pinned operations free for them until their job is placed. */
  reserve(job: ModelJob): void {
    for (const { pin, minutes } of job.operations) {
      if (!pin) continue
      const use = { from: pin.start, to: pin.start + minutes, job: job.index }
      for (const person of pin.people ?? []) insertSorted(this.people[person]!, use)
      if (pin.place !== undefined) insertSorted(this.places[pin.place]!, use)
    }
  }
}

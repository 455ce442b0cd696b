import type { Interval } from '../contract/intervals'

/** One use of a unit by a job. */
export type Use = Interval & { job: number }

export function insertSorted(uses: Use[], use: Use): void {
  let at = uses.length
  while (at > 0 && uses[at - 1]!.from > use.from) at--
  uses.splice(at, 0, use)
}

/** Takes the uses of a job out of a list; says whether there were any. */
export function dropJob(uses: Use[], job: number): boolean {
  let kept = 0
  while (kept < uses.length && uses[kept]!.job !== job) kept++
  for (let at = kept + 1; at < uses.length; at++) if (uses[at]!.job !== job) uses[kept++] = uses[at]!
  const dropped = kept < uses.length
  uses.length = kept
  return dropped
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

/** A bay, or a kind of equipment: so many units of one thing, and who has one when. Mutable. */
export class UnitPool {
  private readonly uses: Use[] = []
  private gaps: readonly Interval[] | undefined

  constructor(
    private readonly capacity: number,
    private readonly range: Interval,
  ) {}

  take(use: Use): void {
    if (use.to <= use.from) return
    insertSorted(this.uses, use)
    this.gaps = undefined
  }

  /** Gives back one use that is of nobody’s job, or of this one. */
  give({ from, to, job }: Use): void {
    const at = this.uses.findIndex((use) => use.job === job && use.from === from && use.to === to)
    if (at >= 0) this.uses.splice(at, 1)
    this.gaps = undefined
  }

  drop(job: number): void {
    if (dropJob(this.uses, job)) this.gaps = undefined
  }

  /** Stretches in which a unit is free, within the range of the problem; `also` is taken as well. */
  freeGaps(also: readonly Interval[] = []): readonly Interval[] {
    if (also.length > 0) return this.gapsBetween([...this.uses, ...also])
    this.gaps ??= this.capacity === 1 ? this.gapsOfOne() : this.gapsBetween(this.uses)
    return this.gaps
  }

  /** The first stretch without a free unit that shares a minute with [from, to). */
  firstTaken(from: number, to: number, also: readonly Interval[] = []): Interval | undefined {
    let taken = Number.NEGATIVE_INFINITY
    for (const gap of this.freeGaps(also)) {
      if (gap.to <= from) {
        taken = gap.to
        continue
      }
      if (gap.from > from) return { from: taken, to: gap.from }
      if (gap.to >= to) return undefined
      taken = gap.to
      // It is free at first and taken later: the stretch goes on to the next gap.
      from = gap.to
    }
    return { from: taken, to: Math.max(to, this.range.to) }
  }

  /** Where there is only one, uses follow each other; pins may lie on top of each other. */
  private gapsOfOne(): Interval[] {
    const gaps: Interval[] = []
    let free = this.range.from
    for (const { from, to } of this.uses) {
      if (from > free) gaps.push({ from: free, to: from })
      if (to > free) free = to
    }
    if (free < this.range.to) gaps.push({ from: free, to: this.range.to })
    return gaps
  }

  private gapsBetween(uses: readonly Interval[]): Interval[] {
    const gaps: Interval[] = []
    let taken = 0
    let from = this.range.from
    for (const { at, by } of edgesOf(uses)) {
      const wasFree = taken < this.capacity
      taken += by
      if (wasFree && taken >= this.capacity && at > from) gaps.push({ from, to: at })
      if (!wasFree && taken < this.capacity) from = at
    }
    if (taken < this.capacity && from < this.range.to) gaps.push({ from, to: this.range.to })
    return gaps
  }
}

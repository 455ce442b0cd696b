/** Half-open stretches of minutes [from, to), sorted and apart from each other in a list. */
export type Interval = { readonly from: number; readonly to: number }

/** Sorts and joins what overlaps or touches. */
export function mergeIntervals(intervals: readonly Interval[]): Interval[] {
  const merged: { from: number; to: number }[] = []
  for (const { from, to } of [...intervals].sort((a, b) => a.from - b.from)) {
    const last = merged.at(-1)
    if (last && from <= last.to) last.to = Math.max(last.to, to)
    else if (to > from) merged.push({ from, to })
  }
  return merged
}

/** What lies in both lists. */
export function intersectIntervals(a: readonly Interval[], b: readonly Interval[]): Interval[] {
  const common: Interval[] = []
  let i = 0
  let j = 0
  while (i < a.length && j < b.length) {
    const from = Math.max(a[i]!.from, b[j]!.from)
    const to = Math.min(a[i]!.to, b[j]!.to)
    if (from < to) common.push({ from, to })
    if (a[i]!.to < b[j]!.to) i++
    else j++
  }
  return common
}

/** Index of the first interval that ends after `minute`; the list's length if none does. */
export function firstEndingAfter(intervals: readonly Interval[], minute: number): number {
  let low = 0
  let high = intervals.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (intervals[middle]!.to > minute) high = middle
    else low = middle + 1
  }
  return low
}

/** Index of the last interval that begins before `minute`; -1 if none does. */
export function lastBeginningBefore(intervals: readonly Interval[], minute: number): number {
  let low = -1
  let high = intervals.length - 1
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (intervals[middle]!.from < minute) low = middle
    else high = middle - 1
  }
  return low
}

/** The first interval that shares a minute with [from, to). */
export function firstOverlap<T extends Interval>(
  intervals: readonly T[],
  from: number,
  to: number,
): T | undefined {
  const candidate = intervals[firstEndingAfter(intervals, from)]
  return candidate && candidate.from < to ? candidate : undefined
}

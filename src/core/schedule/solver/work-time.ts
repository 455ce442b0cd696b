import { firstEndingAfter, type Interval, lastBeginningBefore } from '../contract/intervals'

/** Minutes of work against open time: when they end, when they have to begin, and where they lie. */

/** When `minutes` of work that begin at `start` are done, pausing between open intervals; undefined if never. */
export function workEnd(open: readonly Interval[], start: number, minutes: number): number | undefined {
  let left = minutes
  for (let at = firstEndingAfter(open, start); at < open.length; at++) {
    const from = Math.max(start, open[at]!.from)
    const available = open[at]!.to - from
    if (left <= available) return from + left
    left -= available
  }
  return undefined
}

/** The latest minute at which `minutes` of work can begin to be done by `end`; undefined if there is none. */
export function workStart(open: readonly Interval[], end: number, minutes: number): number | undefined {
  let left = minutes
  for (let at = lastBeginningBefore(open, end); at >= 0; at--) {
    const to = Math.min(end, open[at]!.to)
    const available = to - open[at]!.from
    if (left <= available) return to - left
    left -= available
  }
  return undefined
}

/** The minutes of work between `start` and `end`, with gaps only where work pauses. */
export function workSegments(open: readonly Interval[], start: number, end: number): Interval[] {
  const segments: Interval[] = []
  for (let at = firstEndingAfter(open, start); at < open.length && open[at]!.from < end; at++) {
    const from = Math.max(start, open[at]!.from)
    const to = Math.min(end, open[at]!.to)
    if (from < to) segments.push({ from, to })
  }
  return segments
}

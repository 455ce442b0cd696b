import { type Instant, laterOf } from './instant'

/** A stretch of time, its end not in it. */
export type Span = { from: Instant; to: Instant }

/** The same stretches of time, each told once, in their order. */
export function mergedSpans(spans: readonly Span[]): Span[] {
  const told: Span[] = []
  for (const { from, to } of spans.toSorted((a, b) => (a.from < b.from ? -1 : 1))) {
    const last = told.at(-1)
    if (last && from <= last.to) last.to = laterOf(last.to, to)
    else told.push({ from, to })
  }
  return told
}

/** What two lists of stretches have in common; both in their order and without overlaps. */
export function commonSpans(some: readonly Span[], others: readonly Span[]): Span[] {
  const both: Span[] = []
  let [i, j] = [0, 0]
  while (i < some.length && j < others.length) {
    const [a, b] = [some[i]!, others[j]!]
    const [from, to] = [laterOf(a.from, b.from), a.to < b.to ? a.to : b.to]
    if (from < to) both.push({ from, to })
    if (a.to < b.to) i++
    else j++
  }
  return both
}

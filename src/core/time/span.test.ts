import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Instant, instantOrThrow, minutesBetween, plusMinutes } from './instant'
import { commonSpans, mergedSpans, type Span } from './span'

const ORIGIN = instantOrThrow('2027-01-13T00:00:00Z')
const HORIZON = 600
const spans = fc.array(
  fc
    .tuple(fc.integer({ min: 0, max: HORIZON - 1 }), fc.integer({ min: 1, max: 120 }))
    .map(([from, long]): Span => ({ from: plusMinutes(ORIGIN, from), to: plusMinutes(ORIGIN, from + long) })),
  { maxLength: 12 },
)
const minutes = Array.from({ length: HORIZON + 120 }, (_, at) => plusMinutes(ORIGIN, at))
const within = (all: readonly Span[], at: Instant) => all.some(({ from, to }) => from <= at && at < to)

describe('stretches of time', () => {
  test('merged are in order, apart from each other, and hold the same minutes', () => {
    fc.assert(
      fc.property(spans, (some) => {
        const merged = mergedSpans(some)
        for (const [at, span] of merged.entries()) {
          expect(minutesBetween(span.from, span.to)).toBeGreaterThan(0)
          if (at > 0) expect(span.from > merged[at - 1]!.to).toBe(true)
        }
        for (const minute of minutes) expect(within(merged, minute)).toBe(within(some, minute))
      }),
      { numRuns: 40 },
    )
  })
  test('of two lists have in common the minutes that lie in both, whichever comes first', () => {
    fc.assert(
      fc.property(spans, spans, (some, others) => {
        const [a, b] = [mergedSpans(some), mergedSpans(others)]
        const both = commonSpans(a, b)
        expect(commonSpans(b, a)).toEqual(both)
        for (const minute of minutes)
          expect(within(both, minute)).toBe(within(some, minute) && within(others, minute))
      }),
      { numRuns: 40 },
    )
  })
  test('are left as they were given', () => {
    const given = [
      { from: plusMinutes(ORIGIN, 30), to: plusMinutes(ORIGIN, 60) },
      { from: ORIGIN, to: plusMinutes(ORIGIN, 40) },
    ]
    const before = structuredClone(given)
    expect(mergedSpans(given)).toEqual([{ from: ORIGIN, to: plusMinutes(ORIGIN, 60) }])
    expect(given).toEqual(before)
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { workEnd, workSegments } from '../solver/work-time'
import {
  firstEndingAfter,
  firstOverlap,
  type Interval,
  intersectIntervals,
  mergeIntervals,
} from './intervals'

/** Any list of stretches within two hundred minutes. */
const stretches = fc.array(
  fc
    .tuple(fc.integer({ min: 0, max: 190 }), fc.integer({ min: 0, max: 40 }))
    .map(([from, length]): Interval => ({ from, to: from + length })),
  { maxLength: 12 },
)
const minutesOf = (list: readonly Interval[]) => {
  const minutes = new Set<number>()
  for (const { from, to } of list) for (let at = from; at < to; at++) minutes.add(at)
  return [...minutes].sort((a, b) => a - b)
}

describe('stretches of time, held against their minutes one by one', () => {
  test('merging keeps exactly the same minutes, sorted, apart and never empty', () => {
    fc.assert(
      fc.property(stretches, (list) => {
        const merged = mergeIntervals(list)
        expect(minutesOf(merged)).toEqual(minutesOf(list))
        for (const [at, { from, to }] of merged.entries()) {
          expect(from).toBeLessThan(to)
          if (at > 0) expect(from).toBeGreaterThan(merged[at - 1]!.to)
        }
      }),
    )
  })
  test('intersecting keeps exactly the common minutes', () => {
    fc.assert(
      fc.property(stretches, stretches, (a, b) => {
        const [left, right] = [mergeIntervals(a), mergeIntervals(b)]
        const common = minutesOf(left).filter((minute) => minutesOf(right).includes(minute))
        expect(minutesOf(intersectIntervals(left, right))).toEqual(common)
      }),
    )
  })
  test('the first overlap is the first that shares a minute', () => {
    fc.assert(
      fc.property(
        stretches,
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1, max: 50 }),
        (list, from, length) => {
          const merged = mergeIntervals(list)
          const to = from + length
          expect(firstOverlap(merged, from, to)).toEqual(
            merged.find((each) => each.from < to && from < each.to),
          )
        },
      ),
    )
  })
  test('looking for the first that ends after a minute agrees with looking at all', () => {
    fc.assert(
      fc.property(stretches, fc.integer({ min: -5, max: 240 }), (list, minute) => {
        const merged = mergeIntervals(list)
        const expected = merged.findIndex(({ to }) => to > minute)
        expect(firstEndingAfter(merged, minute)).toBe(expected < 0 ? merged.length : expected)
      }),
    )
  })
})

describe('work that pauses', () => {
  test('ends when its minutes of open time are done, and its segments are those minutes', () => {
    fc.assert(
      fc.property(
        stretches,
        fc.integer({ min: 0, max: 150 }),
        fc.integer({ min: 1, max: 80 }),
        (list, start, minutes) => {
          const open = mergeIntervals(list)
          const available = minutesOf(open).filter((minute) => minute >= start)
          const end = workEnd(open, start, minutes)
          if (available.length < minutes) {
            expect(end).toBeUndefined()
            return
          }
          expect(end).toBe(available[minutes - 1]! + 1)
          expect(minutesOf(workSegments(open, start, end!))).toEqual(available.slice(0, minutes))
        },
      ),
    )
  })
})

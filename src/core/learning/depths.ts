import { DEFECT_KINDS, type DefectKind, depthKey, mean, type Severity } from '../survey'
import { factorOf, onGrid } from '../test-spot'
import type { ClearingLesson, Lesson } from './lesson'
import { surenessFor } from './sureness'

/**
 * How deep marks really lie: what went at the final inspection against what was to go, kind by kind and severity by severity,
 * shrunk towards the table of depths.
 */
export type DepthLesson = {
  key: string
  kind: DefectKind
  severity: Severity
  cars: number
  panels: number
  /** Shares that were to go and that went, 0–1; the mean over panels. */
  expected: number
  reached: number
  /** Depth against the table as learned, with the band that holds it two times in three. */
  factor: number
  low: number
  high: number
  /** What plans use now. */
  current: number
  worthAccepting: boolean
}

/** How far the table may be off: spread of the logarithm (mem). */
const TABLE_SD = 0.3
/** What one car differs from others in the depth of its marks and in its rate, as a share (mem). */
const CAR_SD = 0.3
/** An inspector under the lamp judges a share to about so much (mem). */
const EYE_SD = 0.08
/** A change smaller than this is seen by nobody under a lamp (mem). */
const WORTH_SHARE = 0.1
/** A plan to remove nearly nothing, or nearly all, says nothing of depth: shares, 0–1 (mem). */
const EXPECTED_LEAST = 0.1
const EXPECTED_MOST = 0.97

type Seen = Required<Pick<ClearingLesson, 'expected' | 'reached'>> & {
  mark: NonNullable<ClearingLesson['mark']>
}

/**
 * Of a car the mean of its panels counts once: they share its paint, its hand and its eye. A car whose marks lie `f` times as
 * deep as the table says loses 1 − exp(−x/f) of them, x being the depths of the table that were to be taken off.
 */
function learned(cars: readonly (readonly Seen[])[]) {
  const told = cars.map((panels) => ({
    depths:
      -Math.log(1 - mean(panels.map(({ expected }) => expected))) *
      mean(panels.map(({ mark }) => mark.depth)),
    reached: mean(panels.map(({ reached }) => reached)),
  }))
  return onGrid({ log: 0, variance: TABLE_SD ** 2 }, (log) =>
    told.reduce((sum, { depths, reached }) => {
      const spent = depths / Math.exp(log)
      const left = Math.exp(-spent)
      // How far the share moves when this car’s marks lie a little deeper; and since it bends, the mean over such cars lies beside
      // the share of the mean car (second order).
      const slope = spent * left
      const expected = 1 - left + 0.5 * CAR_SD ** 2 * slope * (1 - spent)
      const sd = Math.hypot(EYE_SD, CAR_SD * slope)
      return sum - 0.5 * ((reached - expected) / sd) ** 2 - Math.log(sd)
    }, 0),
  )
}

/** What the finished jobs say of the table of depths, the marks on most cars first. */
export function depthLessons(
  lessons: readonly Lesson[],
  current: Readonly<Record<string, number>>,
): DepthLesson[] {
  const byKey = new Map<string, Seen[][]>()
  for (const { clearing } of lessons) {
    const own = new Map<string, Seen[]>()
    for (const { expected, reached, mark } of clearing) {
      if (!mark || expected < EXPECTED_LEAST || expected > EXPECTED_MOST) continue
      own.set(depthKey(mark), [...(own.get(depthKey(mark)) ?? []), { expected, reached, mark }])
    }
    for (const [key, panels] of own) byKey.set(key, [...(byKey.get(key) ?? []), panels])
  }
  const sureness = surenessFor(byKey.size)
  return [...byKey]
    .map(([key, cars]): DepthLesson => {
      const all = cars.flat()
      const { kind, severity } = all[0]!.mark
      const estimate = learned(cars)
      const inUse = current[key] ?? 1
      const off = Math.abs(estimate.log - Math.log(inUse))
      return {
        key,
        kind,
        severity,
        cars: cars.length,
        panels: all.length,
        expected: mean(all.map(({ expected }) => expected)),
        reached: mean(all.map(({ reached }) => reached)),
        ...factorOf(estimate),
        current: inUse,
        worthAccepting: off > WORTH_SHARE && off > sureness * Math.sqrt(estimate.variance),
      }
    })
    .sort((a, b) => b.cars - a.cars || b.panels - a.panels)
}

/** The mark a key of the table stands for; undefined for one that no longer does. */
export function markOfKey(key: string): { kind: DefectKind; severity: Severity } | undefined {
  const [kind, level] = key.split(':')
  const severity = ([1, 2, 3] as const).find((each) => String(each) === level)
  const known = DEFECT_KINDS.find((each) => each === kind)
  return known && severity ? { kind: known, severity } : undefined
}

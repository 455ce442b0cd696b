/**
 * What the next hour buys: for every number of minutes the best that can be had. Each panel gets exactly one of its
 * processes, so this is a multiple-choice knapsack; it is solved exactly, for every budget at once, by dynamic
 * programming over whole minutes.
 */

/** One way to treat a panel: whole minutes, and what it wins in points of the vehicle's index. */
export type FrontierOption = { minutes: number; gain: number }

/** A panel with the ways that are open to it. The first must cost nothing: leaving a panel is always possible. */
export type FrontierPanel = { id: string; options: readonly FrontierOption[] }

/** A step of the curve: from `minutes` on, `gain` points can be had. */
export type FrontierPoint = { minutes: number; gain: number }

export type Frontier = {
  /** Rising in both; the first is 0 minutes. */
  points: FrontierPoint[]
  /** Which option each panel gets when that many minutes may be spent. */
  choiceAt: (minutes: number) => Record<string, number>
}

/** A gain smaller than this is arithmetic, not paint, points. */
const EPSILON = 1e-9

/**
 * The whole frontier up to `mostMinutes`. Panels × options × minutes steps; ties go to the option named first, which
 * is the milder one. Throws where a panel cannot be left alone: that is a fault of the caller.
 */
export function frontierOf(panels: readonly FrontierPanel[], mostMinutes: number): Frontier {
  const most = Math.max(0, Math.floor(mostMinutes))
  let best = new Float64Array(most + 1)
  const picks = panels.map(({ id, options }) => {
    if (options[0]?.minutes !== 0) throw new Error(`panel “${id}” cannot be left alone`)
    const { next, pick } = withPanel(best, options)
    best = next
    return pick
  })
  return {
    points: pointsOf(best),
    choiceAt: (minutes) => choiceOf(panels, picks, Math.min(most, Math.max(0, Math.floor(minutes)))),
  }
}

/** The best of the panels so far with one more panel; which of its options each budget takes. */
function withPanel(
  best: Float64Array<ArrayBuffer>,
  options: readonly FrontierOption[],
): { next: Float64Array<ArrayBuffer>; pick: Uint8Array } {
  const base = options[0]!.gain
  const next = best.map((gain) => gain + base)
  const pick = new Uint8Array(best.length)
  for (const [index, { minutes, gain }] of options.entries()) {
    if (index === 0) continue
    for (let budget = minutes; budget < best.length; budget++) {
      const candidate = best[budget - minutes]! + gain
      if (candidate > next[budget]! + EPSILON) {
        next[budget] = candidate
        pick[budget] = index
      }
    }
  }
  return { next, pick }
}

function pointsOf(best: Float64Array): FrontierPoint[] {
  const points: FrontierPoint[] = [{ minutes: 0, gain: best[0]! }]
  for (let minutes = 1; minutes < best.length; minutes++)
    if (best[minutes]! > points.at(-1)!.gain + EPSILON) points.push({ minutes, gain: best[minutes]! })
  return points
}

function choiceOf(
  panels: readonly FrontierPanel[],
  picks: readonly Uint8Array[],
  minutes: number,
): Record<string, number> {
  const choice: Record<string, number> = {}
  let left = minutes
  for (let at = panels.length - 1; at >= 0; at--) {
    const { id, options } = panels[at]!
    const index = picks[at]![left]!
    choice[id] = index
    left -= options[index]!.minutes
  }
  return choice
}

/**
 * Where the curve bends: the point farthest above the straight line from nothing to everything, both axes taken as
 * shares. Before it an hour buys more than the average hour, after it less. The last point where nothing is to be won.
 */
export function kneeOf(points: readonly FrontierPoint[]): FrontierPoint {
  const [first, last] = [points[0]!, points.at(-1)!]
  const [width, height] = [last.minutes - first.minutes, last.gain - first.gain]
  if (width === 0 || height === 0) return last
  const above = ({ minutes, gain }: FrontierPoint) =>
    (gain - first.gain) / height - (minutes - first.minutes) / width
  return points.reduce((knee, point) => (above(point) > above(knee) + EPSILON ? point : knee))
}

/** The last point of which `affordable` still holds; costs rise along the curve. Undefined where not even the first. */
export function farthest(
  points: readonly FrontierPoint[],
  affordable: (point: FrontierPoint) => boolean,
): FrontierPoint | undefined {
  let [low, high] = [0, points.length - 1]
  if (!affordable(points[0]!)) return undefined
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (affordable(points[middle]!)) low = middle
    else high = middle - 1
  }
  return points[low]
}

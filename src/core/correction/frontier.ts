/**
 * What the next hour buys: for every number of minutes the best that can be had. Each panel gets exactly one of its
 * options, so this is a multiple-choice knapsack; it is solved exactly, for every budget at once, by dynamic
 * programming over whole minutes. What an option has to have set up costs once for the car, whichever panels use it: each
 * choice of what to set up is solved by itself, and the best of them taken at every minute.
 */

/** One way to treat a panel: whole minutes, what it wins in points of the vehicle's index, and what it needs set up. */
export type FrontierOption = { minutes: number; gain: number; setUps?: readonly string[] }

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
 * Beside what the car needs anyway, so many different kits are set up for it at the most (mem): nobody walks round a car with a
 * tenth pad. A kit is all that one option needs.
 */
export const KITS_MOST = 4

/**
 * The whole frontier up to `mostMinutes`, with the whole minutes each set-up costs. Kits × panels × options × minutes steps; ties
 * go to the option named first, which is the milder one. What the first options need is set up anyway and costs nothing here.
 * Throws where a panel cannot be left alone: that is a fault of the caller.
 */
export function frontierOf(
  panels: readonly FrontierPanel[],
  mostMinutes: number,
  setUpMinutes: Readonly<Record<string, number>> = {},
): Frontier {
  for (const { id, options } of panels)
    if (options[0]?.minutes !== 0) throw new Error(`panel “${id}” cannot be left alone`)
  const most = Math.max(0, Math.floor(mostMinutes))
  const best = new Float64Array(most + 1).fill(Number.NEGATIVE_INFINITY)
  const taken = new Uint16Array(most + 1)
  const sets = setsOf(panels, setUpMinutes)
  for (const [index, { at, minutes: cost }] of sets.entries()) {
    if (cost > most) continue
    const gains = solved(panels, at, most - cost).best
    for (let minutes = cost; minutes <= most; minutes++)
      if (gains[minutes - cost]! > best[minutes]! + EPSILON) {
        best[minutes] = gains[minutes - cost]!
        taken[minutes] = index
      }
  }
  return {
    points: pointsOf(best),
    choiceAt: (asked) => {
      const minutes = Math.min(most, Math.max(0, Math.floor(asked)))
      const { at, minutes: cost } = sets[taken[minutes]!]!
      const { picks } = solved(panels, at, minutes - cost)
      return choiceOf(panels, picks, minutes - cost)
    },
  }
}

/** What is set up, and what that costs beyond what is set up anyway, min. */
type SetUpSet = { at: ReadonlySet<string>; minutes: number }

/** Every choice of what to set up that could matter, the cheapest first among those alike: none, one kit, several. */
function setsOf(panels: readonly FrontierPanel[], costs: Readonly<Record<string, number>>): SetUpSet[] {
  const anyway = new Set(panels.flatMap(({ options }) => options[0]!.setUps ?? []))
  const kits = new Map<string, string[]>()
  for (const { options } of panels)
    for (const { setUps = [] } of options) {
      const more = setUps.filter((id) => !anyway.has(id)).toSorted()
      if (more.length > 0) kits.set(more.join(' '), more)
    }
  const found = new Map<string, ReadonlySet<string>>()
  const add = (with_: ReadonlySet<string>, from: number, left: number) => {
    found.set([...with_].toSorted().join(' '), with_)
    if (left === 0) return
    for (const [index, kit] of [...kits.values()].entries())
      if (index >= from) add(new Set([...with_, ...kit]), index + 1, left - 1)
  }
  add(new Set(), 0, KITS_MOST)
  return [...found.values()].map((more) => ({
    at: new Set([...anyway, ...more]),
    minutes: [...more].reduce((sum, id) => sum + (costs[id] ?? 0), 0),
  }))
}

/** The knapsack with only those options whose set-ups are there. */
function solved(panels: readonly FrontierPanel[], at: ReadonlySet<string>, most: number) {
  let best = new Float64Array(most + 1)
  const picks = panels.map(({ options }) => {
    const { next, pick } = withPanel(best, options, ({ setUps = [] }) => setUps.every((id) => at.has(id)))
    best = next
    return pick
  })
  return { best, picks }
}

/** The best of the panels so far with one more panel; which of its options each budget takes. */
function withPanel(
  best: Float64Array<ArrayBuffer>,
  options: readonly FrontierOption[],
  isThere: (option: FrontierOption) => boolean,
): { next: Float64Array<ArrayBuffer>; pick: Uint8Array } {
  const base = options[0]!.gain
  const next = best.map((gain) => gain + base)
  const pick = new Uint8Array(best.length)
  for (const [index, option] of options.entries()) {
    if (index === 0 || !isThere(option)) continue
    const { minutes, gain } = option
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

/** Less than this for an hour is not worth the paint it costs, points of the vehicle’s index (mem). */
const WORTH_AN_HOUR = 0.5
const HOUR = 60

/**
 * What stands there first: where the curve bends, or its beginning where even up to the bend an hour buys next to nothing. A car
 * that is nearly new keeps its paint.
 */
export function advisedOn(points: readonly FrontierPoint[]): FrontierPoint {
  const [first, knee] = [points[0]!, kneeOf(points)]
  const isWorth = knee.gain - first.gain >= (WORTH_AN_HOUR * (knee.minutes - first.minutes)) / HOUR
  return isWorth ? knee : first
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

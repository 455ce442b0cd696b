import { type Random, seededRandom } from '../schedule'
import { clearedShare, DEFECT_KINDS, type Defect, depthScaleUm } from '../survey'

/** Where the marks of a drawn panel lie. Lengths are in shares of the panel's width, angles in radians. */

export type Scratch = { x: number; y: number; angle: number; length: number; bend: number; depth: number }
export type Spot = { x: number; y: number; radius: number; depth: number; kind: 'ring' | 'patch' | 'hole' }
export type Marks = {
  scratches: Scratch[]
  spots: Spot[]
  /** Scattering over the whole surface, 0–1: haze widens the lamp's glow, chalk flattens it. */
  haze: number
  chalk: number
  /** Trails of a machine: strength 0–1 and the direction they run. */
  trails: number
  trailAngle: number
}

/** Marks for each severity on a panel that is covered all over (mem: what looks like what it is called). */
const SWIRLS = [380, 900, 1800] as const
const MARRING = [300, 700, 1300] as const
const SANDING = [160, 320, 600] as const
const DEEP = [14, 26, 40] as const
const RINGS = [40, 80, 130] as const
const PATCHES = [16, 30, 48] as const
const HOLES = [30, 60, 110] as const
const SCATTER = [0.25, 0.5, 0.85] as const
/** Points of the condition index that haze costs, where the whole panel is dull (mem). */
const DULL_POINTS = 40

/** A panel to draw: the same seed puts its marks into the same places. */
export type SeenPanel = { seed: number; defects: readonly Defect[] }

/** What was done to a panel: paint taken, µm; how much the pad reaches, 0–1; how deep marks lie against the table; haze left. */
export type WorkOnMarks = { removalUm: number; reached: number; depth: number; hazePoints: number }

const UNTOUCHED: WorkOnMarks = { removalUm: 0, reached: 1, depth: 1, hazePoints: 0 }

/** A patch of the panel that covers that share of it; marks fall into it only. */
function region(random: Random, share: number): () => [number, number] {
  const side = Math.sqrt(share)
  const [left, top] = [(1 - side) * random(), (1 - side) * random()]
  return () => [left + side * random(), top + side * random()]
}

/**
 * The marks of one panel, before or after work. Each mark has a depth of its own, exponential about the scale of its kind, so that
 * the share that is gone is the share the model clears; what stays is shallower and fainter, and where it was.
 */
export function marksOf({ seed, defects }: SeenPanel, work: WorkOnMarks = UNTOUCHED): Marks {
  const marks: Marks = {
    scratches: [],
    spots: [],
    haze: work.hazePoints / DULL_POINTS,
    chalk: 0,
    trails: 0,
    trailAngle: seededRandom(seed)() * Math.PI,
  }
  // Each kind has a chance of its own: what stays is where it was before the rest was polished away.
  for (const defect of defects) {
    const own = seed * 104_729 + DEFECT_KINDS.indexOf(defect.kind)
    addMarks(marks, defect, seededRandom(own), {
      mark: leftOf(defect, work, seededRandom(own + 7_368_787)),
      veil: veilLeft(defect, work),
    })
  }
  return marks
}

/** What is left of one mark after another, as a share 0–1 of what it was. */
function leftOf(defect: Defect, { removalUm, reached, depth }: WorkOnMarks, random: Random): () => number {
  const lambda = (depthScaleUm(defect) ?? Number.POSITIVE_INFINITY) * depth
  const stays = defect.catchesNail || lambda === Number.POSITIVE_INFINITY
  return () => {
    const [lies, isReached] = [-lambda * Math.log(1 - random()), random() < reached]
    if (stays || !isReached) return 1
    return lies > removalUm ? (lies - removalUm) / lies : 0
  }
}

/** What is left of something that lies over the whole panel, as a share 0–1. */
const veilLeft = (defect: Defect, { removalUm, reached, depth }: WorkOnMarks) =>
  1 - clearedShare(defect, removalUm / depth) * reached

/** What work leaves: of each mark in turn, and of what lies over the whole panel; shares 0–1. */
type Left = { mark: () => number; veil: number }

function addMarks(marks: Marks, { kind, severity, extentPercent }: Defect, random: Random, left: Left): void {
  const share = extentPercent / 100
  const place = region(random, share)
  const level = severity - 1
  const depth = 0.45 + 0.25 * level
  const times = (count: number, add: (x: number, y: number) => void) => {
    for (let at = 0; at < Math.round(count * share); at++) add(...place())
  }
  const scratch =
    (length: number, strength: number, bend = 1.4, angle?: number) =>
    (x: number, y: number) => {
      const made = {
        x,
        y,
        angle: angle ?? random() * Math.PI,
        length: length * (0.5 + random()),
        bend: (random() - 0.5) * bend,
        depth: strength * left.mark(),
      }
      if (made.depth > 0) marks.scratches.push(made)
    }
  const spot = (spotKind: Spot['kind'], radius: number) => (x: number, y: number) => {
    const made = { x, y, radius: radius * (0.6 + 0.8 * random()), depth: depth * left.mark(), kind: spotKind }
    if (made.depth > 0) marks.spots.push(made)
  }
  switch (kind) {
    case 'swirls':
      times(SWIRLS[level]!, scratch(0.045, depth * 0.55))
      break
    case 'marring':
      times(MARRING[level]!, scratch(0.022, depth * 0.4))
      break
    case 'sanding':
      times(SANDING[level]!, scratch(0.07, depth * 0.5, 0.05, marks.trailAngle))
      break
    case 'scratches':
      // Few and long: the small share they cover says little about how many there are.
      times(DEEP[level]! / Math.max(share, 0.2), scratch(0.16, 0.7 + 0.15 * level))
      break
    case 'water-spots':
      times(RINGS[level]!, spot('ring', 0.012))
      break
    case 'etching':
    case 'transfer':
      times(PATCHES[level]!, spot('patch', 0.016))
      break
    case 'chips':
    case 'clear-failure':
      times(HOLES[level]! / Math.max(share, 0.2), spot('hole', kind === 'chips' ? 0.0035 : 0.03))
      break
    case 'haze':
      marks.haze = Math.max(marks.haze, SCATTER[level]! * Math.sqrt(share) * left.veil)
      break
    case 'oxidation':
      marks.chalk = Math.max(marks.chalk, SCATTER[level]! * Math.sqrt(share) * left.veil)
      break
    case 'holograms':
      marks.trails = Math.max(marks.trails, SCATTER[level]! * Math.sqrt(share) * left.veil)
      break
    default:
      // A dent is no mark in the paint, and dirt goes with the wash before a lamp is switched on.
      break
  }
}

import { type Random, seededRandom } from '../schedule'
import { DEFECT_KINDS, type Defect } from '../survey'
import type { PracticePanel } from './panel'

/** Where the marks of a practice panel lie. Lengths are in shares of the panel's width, angles in radians. */

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
const DEEP = [14, 26, 40] as const
const RINGS = [40, 80, 130] as const
const PATCHES = [16, 30, 48] as const
const HOLES = [30, 60, 110] as const
const SCATTER = [0.25, 0.5, 0.85] as const

/** A patch of the panel that covers that share of it; marks fall into it only. */
function region(random: Random, share: number): () => [number, number] {
  const side = Math.sqrt(share)
  const [left, top] = [(1 - side) * random(), (1 - side) * random()]
  return () => [left + side * random(), top + side * random()]
}

/** The marks of one panel. Deterministic: the seed of the panel is the seed of its marks. */
export function marksOf({ seed, defects }: PracticePanel): Marks {
  const marks: Marks = {
    scratches: [],
    spots: [],
    haze: 0,
    chalk: 0,
    trails: 0,
    trailAngle: seededRandom(seed)() * Math.PI,
  }
  // Each kind has a chance of its own: what stays is where it was before the rest was polished away.
  for (const defect of defects)
    addMarks(marks, defect, seededRandom(seed * 104_729 + DEFECT_KINDS.indexOf(defect.kind)))
  return marks
}

function addMarks(marks: Marks, { kind, severity, extentPercent }: Defect, random: Random): void {
  const share = extentPercent / 100
  const place = region(random, share)
  const level = severity - 1
  const depth = 0.45 + 0.25 * level
  const times = (count: number, add: (x: number, y: number) => void) => {
    for (let at = 0; at < Math.round(count * share); at++) add(...place())
  }
  const scratch = (length: number, strength: number) => (x: number, y: number) =>
    marks.scratches.push({
      x,
      y,
      angle: random() * Math.PI,
      length: length * (0.5 + random()),
      bend: (random() - 0.5) * 1.4,
      depth: strength,
    })
  const spot = (spotKind: Spot['kind'], radius: number) => (x: number, y: number) =>
    marks.spots.push({ x, y, radius: radius * (0.6 + 0.8 * random()), depth, kind: spotKind })
  switch (kind) {
    case 'swirls':
      times(SWIRLS[level]!, scratch(0.045, depth * 0.55))
      break
    case 'scratches':
      // Few and long: the small share they cover says little about how many there are.
      times(DEEP[level]! / Math.max(share, 0.2), scratch(0.16, 0.7 + 0.15 * level))
      break
    case 'water-spots':
      times(RINGS[level]!, spot('ring', 0.012))
      break
    case 'etching':
      times(PATCHES[level]!, spot('patch', 0.016))
      break
    case 'chips':
      times(HOLES[level]! / Math.max(share, 0.2), spot('hole', 0.0035))
      break
    case 'haze':
      marks.haze = Math.max(marks.haze, SCATTER[level]! * Math.sqrt(share))
      break
    case 'oxidation':
      marks.chalk = Math.max(marks.chalk, SCATTER[level]! * Math.sqrt(share))
      break
    case 'holograms':
      marks.trails = Math.max(marks.trails, SCATTER[level]! * Math.sqrt(share))
      break
    default:
      // Other kinds are not dealt out for practice.
      break
  }
}

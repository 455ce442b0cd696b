import { type Random, seededRandom } from '../schedule'
import {
  baselineOf,
  type Defect,
  type DefectKind,
  type Finding,
  findingOf,
  panelStatistics,
  type Severity,
} from '../survey'
import { panelsOf } from '../vehicle'

/** A panel that does not exist, to practise grading on: what is really on it is known to the app alone. */
export type PracticePanel = {
  seed: number
  /** What the gauge reads on it, µm, and the level of the car it belongs to. */
  readingsUm: number[]
  levelUm: number
  finding: Finding['kind']
  defects: Defect[]
}

/** Kinds that a point light shows and the painter of the practice panel knows. */
export const PRACTICE_KINDS = [
  'swirls',
  'scratches',
  'holograms',
  'haze',
  'water-spots',
  'etching',
  'oxidation',
  'chips',
] as const satisfies DefectKind[]
export type PracticeKind = (typeof PRACTICE_KINDS)[number]

/** What film can say in practice: the four that take judgement. */
export const PRACTICE_FINDINGS = ['original', 'thin', 'repainted', 'filler-likely'] as const
export type PracticeFinding = (typeof PRACTICE_FINDINGS)[number]

/** Panels of the series; everybody grades the same ones, so that grades can be compared. */
export const PRACTICE_PANELS = 24

const READINGS = 6
const EXTENTS = [10, 25, 50, 75, 100] as const
const OFFSET_UM: Record<PracticeFinding, [number, number]> = {
  original: [-6, 6],
  thin: [-60, -48],
  repainted: [70, 150],
  'filler-likely': [330, 600],
}

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!

/** The panel of a seed: the same seed gives the same panel everywhere and always. */
export function practicePanel(seed: number): PracticePanel {
  const random = seededRandom(seed * 7919)
  const levelUm = Math.round(108 + 20 * random())
  // Two in five are what they should be; the rest share the trouble.
  const wanted = random() < 0.4 ? 'original' : pick(random, PRACTICE_FINDINGS)
  const [low, high] = OFFSET_UM[wanted]
  const centre = levelUm + low + (high - low) * random()
  const readingsUm = Array.from(
    { length: READINGS },
    () => Math.round((centre + 5 * (random() - 0.5)) * 10) / 10,
  )
  const count = 1 + Math.floor(random() * 3)
  const kinds = new Set<PracticeKind>()
  while (kinds.size < count) kinds.add(pick(random, PRACTICE_KINDS))
  const defects = [...kinds].map((kind): Defect => {
    const small = kind === 'chips' || kind === 'scratches'
    return {
      kind,
      severity: (1 + Math.floor(random() * 3)) as Severity,
      extentPercent: small ? pick(random, [5, 10, 25]) : pick(random, EXTENTS),
      catchesNail: kind === 'chips',
    }
  })
  return { seed, readingsUm, levelUm, finding: judged(readingsUm, levelUm), defects }
}

/** The judgement of the app's own model on those readings, among sound neighbours. */
function judged(readingsUm: readonly number[], levelUm: number): Finding['kind'] {
  const door = panelsOf('saloon').find(({ id }) => id === 'front-door-left')!
  const neighbours = Array.from({ length: 9 }, (_, at) => levelUm + (at % 3) - 1)
  return findingOf(door, 'clear-over-base', panelStatistics(door, readingsUm), baselineOf(neighbours)).kind
}

import { seededRandom } from '@/core/schedule'
import { isMetal, type Panel } from '@/core/vehicle'

/** A film gauge as the app sees it: readings one after the other, µm, each with the panel it was taken on. */
export interface FilmGauge {
  read(panels: readonly Panel[], signal: AbortSignal): AsyncIterable<GaugeReading>
}

export type GaugeReading = { panel: string; filmUm: number }

/** What the paint of a simulated car is really like, µm; panels not named are like the base. */
export type PaintTruth = { baseUm: number; panels: Readonly<Record<string, number>> }

const READINGS_PER_PANEL = 6
/** Spread of single readings on one panel: the paint itself and the hand that holds the probe, µm (mem). */
const SPREAD_UM = 2.5

/** Normal deviate from two uniform ones (Box and Muller 1958). */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** The paint of a car nobody described: a factory film, and on some cars one panel that was painted again. */
export function inventPaint(panels: readonly Panel[], seed: number): PaintTruth {
  const random = seededRandom(seed)
  const baseUm = 100 + 35 * random()
  const metal = panels.filter((panel) => isMetal(panel.substrate))
  const own: Record<string, number> = Object.fromEntries(
    metal.map((panel) => [panel.id, baseUm + 5 * normal(random)]),
  )
  if (random() < 0.5) own[metal[Math.floor(random() * metal.length)]!.id] = baseUm + 90 + 60 * random()
  return { baseUm, panels: own }
}

/** Stands in for a gauge on a cable: walks round the car in order and delivers six readings on every metal panel. */
export class SimulatedFilmGauge implements FilmGauge {
  constructor(
    private readonly truth: PaintTruth,
    private readonly seed: number,
    /** Pause between two readings; 0 delivers at once. */
    private readonly pauseMs: number,
  ) {}

  async *read(panels: readonly Panel[], signal: AbortSignal): AsyncIterable<GaugeReading> {
    const random = seededRandom(this.seed)
    for (const panel of panels) {
      if (!isMetal(panel.substrate)) continue
      const level = this.truth.panels[panel.id] ?? this.truth.baseUm
      for (let taken = 0; taken < READINGS_PER_PANEL; taken++) {
        if (signal.aborted) return
        if (this.pauseMs > 0) await new Promise((resolve) => setTimeout(resolve, this.pauseMs))
        yield {
          panel: panel.id,
          filmUm: Math.max(0, Math.round((level + SPREAD_UM * normal(random)) * 10) / 10),
        }
      }
    }
  }
}

/** A stable seed from an id, so that a car reads the same tomorrow. */
export function seedOf(id: string): number {
  let hash = 2166136261
  for (const character of id) hash = Math.imul(hash ^ character.charCodeAt(0), 16777619)
  return hash >>> 0
}

import { seededRandom } from '@/core/schedule'
import { isMetal, type Panel } from '@/core/vehicle'

/** A film gauge as the app sees it: readings one after the other, µm, each with the panel it was taken on. */
export interface FilmGauge {
  read(panels: readonly Panel[], signal: AbortSignal): AsyncIterable<GaugeEvent>
}

/** A probe that lost contact says so; one that slipped says nothing, and its reading is as wrong as it looks. */
export type GaugeEvent =
  | { kind: 'reading'; panel: string; filmUm: number }
  | { kind: 'dropout'; panel: string }

/** What the paint of a simulated car is really like, µm; panels not named are like the base. */
export type PaintTruth = {
  baseUm: number
  panels: Readonly<Record<string, number>>
  /** What its spots differ by is drawn from this: the same at every visit. */
  spotSeed?: number
}

const READINGS_PER_PANEL = 6
const READINGS_PER_SPOT = 3
/** Paint lies unevenly: spots of one panel differ by so much, µm; a gauge set on one spot again repeats to this (mem). */
const SPOT_SPREAD_UM = 2.5
const REPEAT_UM = 1
/** What a gauge reads off from one day to the next, alike everywhere, µm (mem). */
const DAY_OFFSET_UM = 0.3

/** How often a hand in a wet glove goes wrong: shares of all readings (mem). */
export type GaugeFaults = { dropout: number; slip: number; ontoPlastic: number }
export const WET_GLOVE: GaugeFaults = { dropout: 0.04, slip: 0.012, ontoPlastic: 0.25 }
export const STEADY_HAND: GaugeFaults = { dropout: 0, slip: 0, ontoPlastic: 0 }
/** Over an edge or a badge the probe sees air, µm more than there is paint. */
const SLIP_UM = [90, 380] as const

/** Normal deviate from two uniform ones (Box and Muller 1958). */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** The paint of a car nobody described: a factory film, and on some cars one panel that was resprayed. */
export function inventPaint(panels: readonly Panel[], seed: number): PaintTruth {
  const random = seededRandom(seed)
  const baseUm = 100 + 35 * random()
  const metal = panels.filter((panel) => isMetal(panel.substrate))
  const own: Record<string, number> = Object.fromEntries(
    metal.map((panel) => [panel.id, baseUm + 5 * normal(random)]),
  )
  if (random() < 0.5) own[metal[Math.floor(random() * metal.length)]!.id] = baseUm + 90 + 60 * random()
  return { baseUm, panels: own, spotSeed: seed }
}

/** The same paint after some of it has been cut away, µm by panel. */
export function cutPaint(
  truth: PaintTruth,
  panels: readonly Panel[],
  removedUm: Readonly<Record<string, number>>,
): PaintTruth {
  return {
    ...truth,
    panels: Object.fromEntries(
      panels.map(({ id }) => [id, (truth.panels[id] ?? truth.baseUm) - (removedUm[id] ?? 0)]),
    ),
  }
}

const tenth = (um: number) => Math.max(0, Math.round(um * 10) / 10)

/** Stands in for a gauge on a cable: walks round the car in order and takes six readings on every metal panel. */
export class SimulatedFilmGauge implements FilmGauge {
  constructor(
    private readonly truth: PaintTruth,
    private readonly seed: number,
    /** Pause between two readings; 0 delivers at once. */
    private readonly pauseMs: number,
    private readonly faults: GaugeFaults = STEADY_HAND,
  ) {}

  async *read(panels: readonly Panel[], signal: AbortSignal): AsyncIterable<GaugeEvent> {
    const random = seededRandom(this.seed)
    // Mishaps have a chance of their own, so that the same car reads the same with a steady hand.
    const luck = seededRandom(this.seed + 1)
    for (const panel of panels)
      for (const event of isMetal(panel.substrate)
        ? this.onMetal(panel, random, luck)
        : this.onPlastic(panel, luck)) {
        if (signal.aborted) return
        if (this.pauseMs > 0) await new Promise((resolve) => setTimeout(resolve, this.pauseMs))
        yield event
      }
  }

  private *onMetal({ id }: Panel, random: () => number, luck: () => number): Iterable<GaugeEvent> {
    const level = this.truth.panels[id] ?? this.truth.baseUm
    const dayOffset = DAY_OFFSET_UM * normal(seededRandom(this.seed))
    for (let taken = 0; taken < READINGS_PER_PANEL; taken++) {
      const spotUm =
        SPOT_SPREAD_UM * normal(seededRandom(this.spotSeed(id, Math.floor(taken / READINGS_PER_SPOT))))
      if (luck() < this.faults.dropout) yield { kind: 'dropout', panel: id }
      const filmUm = level + spotUm + dayOffset + REPEAT_UM * normal(random)
      const slips = luck() < this.faults.slip
      const offUm = SLIP_UM[0] + (SLIP_UM[1] - SLIP_UM[0]) * luck()
      yield { kind: 'reading', panel: id, filmUm: tenth(slips ? filmUm + offUm : filmUm) }
    }
  }

  /** A spot is where it was at the last visit. */
  private spotSeed(panel: string, spot: number): number {
    return seedOf(`${this.truth.spotSeed ?? 0}/${panel}/${spot}`)
  }

  /** Nobody means to read plastic; the probe slides onto it, and tells of the nearest metal behind it. */
  private *onPlastic({ id }: Panel, luck: () => number): Iterable<GaugeEvent> {
    if (luck() < this.faults.ontoPlastic)
      yield { kind: 'reading', panel: id, filmUm: tenth(900 + 2500 * luck()) }
  }
}

/** A stable seed from an id, so that a car reads the same tomorrow. */
export function seedOf(id: string): number {
  let hash = 2166136261
  for (const character of id) hash = Math.imul(hash ^ character.charCodeAt(0), 16777619)
  return hash >>> 0
}

import type { BayClimate, Sensed } from '@/core/climate'
import type { BayId } from '@/core/ids'
import { epochMinutes, fromEpochMinutes, type Instant } from '@/core/time'
import { seedOf } from './film-gauge'

/** A sensor on the wall of each bay: air °C, relative humidity %, and the temperature of the panel in front of it. */
export interface ClimateSensor {
  /** What it wrote down between two moments, the oldest first; nothing while it was silent. */
  readings(bay: string, from: Instant, until: Instant): Sensed[]
}

export const SPELL_KINDS = ['humid', 'cold', 'silent', 'absurd'] as const
/** Weather that gets into a bay, or a sensor that fails, for a while: so that both can be tried. */
export type Spell = { bay: BayId; kind: (typeof SPELL_KINDS)[number]; from: Instant; until: Instant }

/** Minutes between two readings. */
export const READING_MINUTES = 5

/** What a spell adds at its height: damp air off the harbour, a door left open. */
const HUMID_POINTS = 26
const COLD_C = 9
/** Minutes in which a spell comes on, and in which it fades before its end. */
const COMES_MINUTES = 20
const FADES_MINUTES = 90
/** What a broken sensor reads. */
const ABSURD: BayClimate = { airC: 85, rhPercent: 100, panelC: 85 }

const tenth = (value: number) => Math.round(value * 10) / 10

/**
 * Stands in for the sensors of the bays: a heated hall in a damp January, warmer by day, wet in the wash bay, each
 * bay drifting a little on its own. The same bay at the same minute always reads the same.
 */
export class SimulatedClimateSensor implements ClimateSensor {
  constructor(private readonly spells: readonly Spell[] = []) {}

  readings(bay: string, from: Instant, until: Instant): Sensed[] {
    const first = Math.ceil(epochMinutes(from) / READING_MINUTES) * READING_MINUTES
    const found: Sensed[] = []
    for (let minute = first; minute <= epochMinutes(until); minute += READING_MINUTES) {
      const at = fromEpochMinutes(minute)
      if (this.isIn('silent', bay, at)) continue
      found.push({ at, climate: this.isIn('absurd', bay, at) ? ABSURD : this.air(bay, at) })
    }
    return found
  }

  /** The air itself, whether or not the sensor tells it. */
  air(bay: string, at: Instant): BayClimate {
    const minute = epochMinutes(at)
    const phase = (seedOf(bay) % 1000) / 1000
    const day = Math.sin(((minute / 1440 - 0.375) % 1) * 2 * Math.PI)
    const drift = Math.sin((minute / 97 + phase) * 2 * Math.PI)
    const wet = bay.startsWith('wash') ? 1 : 0
    const cold = this.heightOf('cold', bay, at)
    const airC = 18.5 - 4 * wet + 1.6 * day + 0.4 * drift - COLD_C * cold
    const humid = this.heightOf('humid', bay, at)
    const rhPercent = Math.min(99, 54 + 26 * wet - 4 * day + 3 * drift + 4 * phase + HUMID_POINTS * humid)
    return { airC: tenth(airC), rhPercent: tenth(rhPercent), panelC: tenth(airC - 0.8) }
  }

  private isIn(kind: Spell['kind'], bay: string, at: Instant): boolean {
    return this.spells.some((spell) => spell.kind === kind && holds(spell, bay, at))
  }

  /** How strong a spell is, 0–1: it comes on, holds, and fades. */
  private heightOf(kind: Spell['kind'], bay: string, at: Instant): number {
    const heights = this.spells
      .filter((spell) => spell.kind === kind && holds(spell, bay, at))
      .map(({ from, until }) => {
        const [since, left] = [epochMinutes(at) - epochMinutes(from), epochMinutes(until) - epochMinutes(at)]
        return Math.min(1, since / COMES_MINUTES, left / FADES_MINUTES)
      })
    return Math.max(0, ...heights)
  }
}

/** A shop without sensors: the bays say nothing, and what is measured is typed. */
export class SilentSensor implements ClimateSensor {
  readings(): Sensed[] {
    return []
  }
}

const holds = (spell: Spell, bay: string, at: Instant) =>
  spell.bay === bay && spell.from <= at && at < spell.until

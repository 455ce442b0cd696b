import { type Instant, minutesBetween } from '../time'
import type { BayClimate } from './dew-point'

/** What a sensor on the wall says, and whether it can be believed. */

export type Sensed = { at: Instant; climate: BayClimate }

/** Why a reading is not believed: air cannot be like that, or it jumped from one reading to the next. */
export type Absurd = 'impossible' | 'jumped'

export type SensorState =
  | { kind: 'believed'; sensed: Sensed }
  | { kind: 'silent'; since?: Instant }
  | { kind: 'absurd'; sensed: Sensed; why: Absurd }

/** A sensor that has said nothing for so long is taken for broken, minutes (mem). */
const SILENT_MINUTES = 10
/** What air and panels in a workshop can be, °C and % (mem); outside of it a sensor is broken, not the weather. */
const PLAUSIBLE = { airC: [-20, 45], rhPercent: [5, 100], panelC: [-25, 75] } as const
/** Air of a closed bay does not jump by more than this between two readings, °C and points of humidity (mem). */
const JUMP = { airC: 8, rhPercent: 35 }

function whatIsAbsurd({ at, climate }: Sensed, before: Sensed | undefined): Absurd | undefined {
  for (const [key, [least, most]] of Object.entries(PLAUSIBLE)) {
    const value = climate[key as keyof BayClimate]
    if (!(value >= least && value <= most)) return 'impossible'
  }
  if (!before || minutesBetween(before.at, at) > SILENT_MINUTES) return undefined
  const jumps =
    Math.abs(climate.airC - before.climate.airC) > JUMP.airC ||
    Math.abs(climate.rhPercent - before.climate.rhPercent) > JUMP.rhPercent
  return jumps ? 'jumped' : undefined
}

/** Judges the readings of a sensor, oldest first, at `now`. */
export function sensorState(readings: readonly Sensed[], now: Instant): SensorState {
  const last = readings.at(-1)
  if (!last) return { kind: 'silent' }
  if (minutesBetween(last.at, now) > SILENT_MINUTES) return { kind: 'silent', since: last.at }
  const why = whatIsAbsurd(last, readings.at(-2))
  return why ? { kind: 'absurd', sensed: last, why } : { kind: 'believed', sensed: last }
}

import type { BayId } from '../ids'
import type { BayClimate } from './dew-point'
import type { Sensed, SensorState } from './sensor'

export type BayAir = { bay: BayId; readings: Sensed[]; state: SensorState }

/** The air of a bay where its sensor can be believed. */
export function believed(air: BayAir | undefined): BayClimate | undefined {
  return air?.state.kind === 'believed' ? air.state.sensed.climate : undefined
}

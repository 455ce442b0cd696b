import type { BayClimate } from '@/core/climate'
import { epochMinutes, type Instant } from '@/core/time'
import { seedOf } from './film-gauge'

/** A sensor on the wall of a bay: air °C, relative humidity %, and the temperature of the panel in front of it. */
export interface ClimateSensor {
  read(bay: string, at: Instant): BayClimate
}

/**
 * Stands in for the sensors of the bays: a heated loft in a damp January, warmer by day, wet in the wash bay, each
 * bay drifting a little on its own. The same bay at the same minute always reads the same.
 */
export class SimulatedClimateSensor implements ClimateSensor {
  read(bay: string, at: Instant): BayClimate {
    const minute = epochMinutes(at)
    const phase = (seedOf(bay) % 1000) / 1000
    const day = Math.sin(((minute / 1440 - 0.375) % 1) * 2 * Math.PI)
    const drift = Math.sin((minute / 97 + phase) * 2 * Math.PI)
    const wet = bay.startsWith('wash') ? 1 : 0
    const airC = 18.5 - 4 * wet + 1.6 * day + 0.4 * drift
    const rhPercent = 54 + 26 * wet - 4 * day + 3 * drift + 4 * phase
    return {
      airC: Math.round(airC * 10) / 10,
      rhPercent: Math.round(rhPercent * 10) / 10,
      panelC: Math.round((airC - 0.8) * 10) / 10,
    }
  }
}

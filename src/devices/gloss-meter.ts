import { seededRandom } from '@/core/schedule'

/** A gloss meter as the app sees it: set on a panel, it answers with a few readings at 60°, GU. */
export interface GlossMeter {
  read(panel: string): number[]
}

const READINGS = 3
/** Spread of single readings on one panel, GU (mem). */
const SPREAD_GU = 1.2
/** A flawless clear reads a little over 100, one in poor order about 85 (common practice: 90–95 tired). */
const BEST_GU = 103
const LOST_AT_WORST_GU = 22

/** Stands in for a gloss meter: the worse a panel’s condition index (0–100), the duller it reads. */
export class SimulatedGlossMeter implements GlossMeter {
  constructor(
    private readonly indexOf: (panel: string) => number,
    private readonly seed: number,
  ) {}

  read(panel: string): number[] {
    const random = seededRandom(this.seed)
    const level = BEST_GU - (LOST_AT_WORST_GU * (100 - this.indexOf(panel))) / 100
    return Array.from(
      { length: READINGS },
      () => Math.round((level + SPREAD_GU * (2 * random() - 1)) * 10) / 10,
    )
  }
}

import type { Product } from './product'

const REFERENCE_C = 20
const REFERENCE_RH = 50
/** Drying halves or doubles with 10 °C (mem). */
const HALVING_C = 10
/** Nothing is believed beyond these factors (mem). */
const FACTOR_MIN = 0.4
const FACTOR_MAX = 2.5

/** By how much the flash of a coating is stretched at `airC` °C and `rhPercent` %: heat and humidity shorten it (mem). */
export function flashFactor(airC: number, rhPercent: number): number {
  const factor = 2 ** ((REFERENCE_C - airC) / HALVING_C) * Math.sqrt(REFERENCE_RH / rhPercent)
  return Math.min(FACTOR_MAX, Math.max(FACTOR_MIN, factor))
}

/** What the flash is worked out from where no sensor says anything: the air a data sheet speaks of, °C and %. */
export const SHEET_AIR = { airC: REFERENCE_C, rhPercent: REFERENCE_RH }

/** Seconds to wait before levelling, as a band. An estimate: the look of the film decides. */
export function flashBand(product: Product, airC: number, rhPercent: number): { min: number; max: number } {
  const factor = flashFactor(airC, rhPercent)
  return { min: product.flashSeconds.min * factor, max: product.flashSeconds.max * factor }
}

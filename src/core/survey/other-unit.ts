import { milToUm, umToMil } from '../units'

/** A reading that would be plausible in the other unit only: gauges are switched by a button that is pressed by mistake. */

/** No paint on a car is thinner, and few repairs are thicker, µm (common practice). */
const THINNEST_UM = 20
const THICKEST_UM = 1000
/** Where most readings on a car lie, with room for filler, µm (common practice). */
const PLAUSIBLE_UM = { from: 40, to: 700 }

const isPlausible = (um: number) => um >= PLAUSIBLE_UM.from && um <= PLAUSIBLE_UM.to

/** What was typed as `um`, as it would be had it been shown in the other unit, µm; undefined where it is plausible as it stands. */
export function inOtherUnit(unit: 'um' | 'mil', um: number): number | undefined {
  if (um >= THINNEST_UM && um <= THICKEST_UM) return undefined
  const other = unit === 'um' ? milToUm(um) : umToMil(um)
  return isPlausible(other) ? other : undefined
}

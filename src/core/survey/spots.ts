import { mean } from './statistics'

/** SSPC-PA 2: a spot reading is the mean of three gauge readings. */
export const READINGS_PER_SPOT = 3

/** SSPC-PA 2: five spots for every 10 m². */
const SPOTS_PER_M2 = 5 / 10

/** One spot on a panel: its gauge readings, µm, in the order they came, and their mean. */
export type Spot = { readingsUm: readonly number[]; meanUm: number; complete: boolean }

/** How many readings each spot of a panel was given, in order; by threes where nothing is said. */
export type SpotSizes = Readonly<Record<string, readonly number[]>>

/** Groups the readings of a panel, by threes or as told. A last group that is not full is a spot too, marked incomplete. */
export function spotsOf(readingsUm: readonly number[], sizes?: readonly number[]): Spot[] {
  const spots: Spot[] = []
  for (let from = 0; from < readingsUm.length; ) {
    const size = sizes?.[spots.length] ?? READINGS_PER_SPOT
    const group = readingsUm.slice(from, from + size)
    spots.push({ readingsUm: group, meanUm: mean(group), complete: group.length === size })
    from += size
  }
  return spots
}

/**
 * Spots an area of `areaM2` m² asks for at the density of SSPC-PA 2. A panel judged on its own never rests on
 * fewer than two, so that one odd spot shows (common practice: several readings on every panel).
 */
export function spotsWanted(areaM2: number): number {
  return Math.max(2, Math.ceil(areaM2 * SPOTS_PER_M2))
}

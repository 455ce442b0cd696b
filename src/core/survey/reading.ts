import { median, medianAbsoluteDeviation } from './statistics'

/**
 * One gauge reading, µm. A reading far from its neighbours is asked about: it stays in the count, where a low one
 * keeps the budget safe, until someone has said whether it is real, is to be set aside, or was taken on an edge or crease: that
 * one is judged by itself, and taped.
 */
export type Reading = { um: number; settled?: 'kept' | 'set-aside' | 'edge' }

/** Fewer readings than this say nothing about what is usual on the panel. */
const ENOUGH_TO_DOUBT = 4
/** A reading this far from its panel's median is a slip, an edge or a repair, µm (mem) … */
export const DOUBT_UM = 20
/** … unless the panel is that uneven all over: so many median absolute deviations (mem). */
const DOUBT_MADS = 6

/** The readings that count, µm, in the order they were taken. */
export function countedUm(readings: readonly Reading[]): number[] {
  return readings.filter(({ settled }) => settled !== 'set-aside' && settled !== 'edge').map(({ um }) => um)
}

/** The readings of edges and creases, µm. */
export const edgeUm = (readings: readonly Reading[]): number[] =>
  readings.filter(({ settled }) => settled === 'edge').map(({ um }) => um)

/** Positions of the readings that should be asked about: far from the others, and nobody has answered yet. */
export function doubtful(readings: readonly Reading[]): number[] {
  const counted = countedUm(readings)
  if (counted.length < ENOUGH_TO_DOUBT) return []
  const centre = median(counted)
  const reach = Math.max(DOUBT_UM, DOUBT_MADS * medianAbsoluteDeviation(counted))
  return readings.flatMap(({ um, settled }, at) =>
    settled === undefined && Math.abs(um - centre) > reach ? [at] : [],
  )
}

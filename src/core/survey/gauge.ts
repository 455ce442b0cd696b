/** Gauge error: a zero offset or a share of the reading, whichever is larger (mem; see the gauge's certificate). */
const GAUGE_OFFSET_UM = 2
const GAUGE_SHARE = 0.02

/** Below 3 mil of total film nothing is cut, µm (common practice). */
export const FLOOR_UM = 76.2

/** How far off a reading of `readingUm` µm may be, µm, either way. */
export function gaugeUncertaintyUm(readingUm: number): number {
  return Math.max(GAUGE_OFFSET_UM, GAUGE_SHARE * readingUm)
}

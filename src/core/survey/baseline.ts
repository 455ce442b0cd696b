import { median, medianAbsoluteDeviation } from './statistics'

/** A respray stands at least this far above its neighbours, µm (common practice). */
export const RESPRAY_STEP_UM = 40

/** … or this many median absolute deviations, where the car's own paint is uneven (mem). */
export const RESPRAY_MADS = 4

/** Film the metal panels agree on, µm: the level, how much they differ, and above what a panel stands out. */
export type Baseline = { medianUm: number; madUm: number; stepUm: number; panels: number }

/**
 * The vehicle's own film build from the medians of its metal panels, µm. Panels that stand out are left out and
 * the level is taken again until nothing changes, so one or two resprays do not move it. Undefined without panels.
 */
export function baselineOf(panelMediansUm: readonly number[]): Baseline | undefined {
  if (panelMediansUm.length === 0) return undefined
  let agreeing = [...panelMediansUm]
  for (;;) {
    const medianUm = median(agreeing)
    const madUm = medianAbsoluteDeviation(agreeing)
    const stepUm = Math.max(RESPRAY_STEP_UM, RESPRAY_MADS * madUm)
    const kept = agreeing.filter((value) => Math.abs(value - medianUm) <= stepUm)
    if (kept.length === agreeing.length) return { medianUm, madUm, stepUm, panels: kept.length }
    agreeing = kept
  }
}

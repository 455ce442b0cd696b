import { isMetal, type PaintSystem, type Panel } from '../vehicle'
import { type Baseline, baselineOf } from './baseline'
import { FLOOR_UM, gaugeUncertaintyUm } from './gauge'
import { spotsOf, spotsWanted } from './spots'
import { mean, median, medianAbsoluteDeviation, standardError } from './statistics'

/** Above this a body filler is likely under the paint, µm (mem). */
export const FILLER_UM = 400

export type PanelStatistics = {
  n: number
  meanUm: number
  medianUm: number
  minUm: number
  maxUm: number
  madUm: number
  /** Standard error of the mean; undefined for one reading. */
  standardErrorUm?: number
  lowestSpotUm: number
  spots: number
  spotsWanted: number
}

/** What the film says about a panel. The data a finding rests on lives in that finding only. */
export type Finding =
  | { kind: 'not-read' }
  | { kind: 'unreadable'; why: 'plastic' | 'composite' | 'gelcoat' | 'bare-metal' }
  | { kind: 'film'; why: 'wrap' | 'film' }
  | { kind: 'too-few'; n: number }
  | { kind: 'original'; aboveBaselineUm: number }
  | { kind: 'thin'; lowestSpotUm: number; marginUm: number }
  | { kind: 'repainted'; aboveBaselineUm: number; stepUm: number }
  | { kind: 'filler-likely'; highestUm: number }

export type FindingKind = Finding['kind']

/** Gauge readings of each panel, µm, in the order they were taken. */
export type Readings = Readonly<Record<string, readonly number[]>>

/** Statistics of one panel; undefined without readings. */
export function panelStatistics(panel: Panel, readingsUm: readonly number[]): PanelStatistics | undefined {
  if (readingsUm.length === 0) return undefined
  const spots = spotsOf(readingsUm)
  const error = standardError(readingsUm)
  return {
    n: readingsUm.length,
    meanUm: mean(readingsUm),
    medianUm: median(readingsUm),
    minUm: Math.min(...readingsUm),
    maxUm: Math.max(...readingsUm),
    madUm: medianAbsoluteDeviation(readingsUm),
    ...(error === undefined ? {} : { standardErrorUm: error }),
    lowestSpotUm: Math.min(...spots.map(({ meanUm }) => meanUm)),
    spots: spots.length,
    spotsWanted: spotsWanted(panel.areaM2),
  }
}

/** The level the readable metal panels agree on. Panels with a single reading do not vote. */
export function vehicleBaseline(panels: readonly Panel[], readings: Readings): Baseline | undefined {
  const medians = panels
    .filter((panel) => isMetal(panel.substrate))
    .map((panel) => readings[panel.id] ?? [])
    .filter((values) => values.length > 1)
    .map(median)
  return baselineOf(medians)
}

/** Classifies one panel. Refuses to conclude from one reading, and from a surface no gauge can read. */
export function findingOf(
  panel: Panel,
  paintSystem: PaintSystem,
  statistics: PanelStatistics | undefined,
  baseline: Baseline | undefined,
): Finding {
  if (paintSystem === 'wrap') return { kind: 'film', why: 'wrap' }
  if (paintSystem === 'gelcoat') return { kind: 'unreadable', why: 'gelcoat' }
  if (paintSystem === 'bare-metal') return { kind: 'unreadable', why: 'bare-metal' }
  if (!isMetal(panel.substrate))
    return { kind: 'unreadable', why: panel.substrate === 'composite' ? 'composite' : 'plastic' }
  if (!statistics) return { kind: 'not-read' }
  if (statistics.n < 2 || !baseline) return { kind: 'too-few', n: statistics.n }
  if (statistics.maxUm > FILLER_UM) return { kind: 'filler-likely', highestUm: statistics.maxUm }
  const { lowestSpotUm } = statistics
  const marginUm = lowestSpotUm - gaugeUncertaintyUm(lowestSpotUm) - FLOOR_UM
  if (marginUm <= 0) return { kind: 'thin', lowestSpotUm, marginUm }
  const aboveBaselineUm = statistics.medianUm - baseline.medianUm
  if (aboveBaselineUm > baseline.stepUm)
    return { kind: 'repainted', aboveBaselineUm, stepUm: baseline.stepUm }
  return { kind: 'original', aboveBaselineUm }
}

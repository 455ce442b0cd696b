import { type Covering, isMetal, type Panel } from '../vehicle'
import { type Baseline, baselineOf } from './baseline'
import { FLOOR_UM, gaugeUncertaintyUm } from './gauge'
import { meanFilm, type Spread, spreadOf } from './metrology'
import { spotsOf, spotsWanted } from './spots'
import { median, medianAbsoluteDeviation } from './statistics'

/** Above this a body filler is likely under the paint, µm (mem). */
export const FILLER_UM = 400

export type PanelStatistics = {
  n: number
  meanUm: number
  medianUm: number
  minUm: number
  maxUm: number
  madUm: number
  /** Standard uncertainty of the mean, from the spots of the panel and the spread of the car. */
  uncertaintyUm: number
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
  /** Read, but too few metal panels of the car are to say what is usual on it. */
  | { kind: 'no-level'; panels: number }
  | { kind: 'original'; aboveBaselineUm: number }
  /** Far below the others: resprayed thinner, or cut hard. */
  | { kind: 'thinner'; belowBaselineUm: number; stepUm: number }
  /** As the others, but all of them read high: the whole car may have been resprayed. */
  | { kind: 'all-high'; levelUm: number }
  | { kind: 'thin'; lowestSpotUm: number; marginUm: number }
  | { kind: 'repainted'; aboveBaselineUm: number; stepUm: number }
  | { kind: 'filler-likely'; highestUm: number }

export type FindingKind = Finding['kind']

/** Gauge readings of each panel, µm, in the order they were taken. */
export type Readings = Readonly<Record<string, readonly number[]>>

/** Statistics of one panel; undefined without readings. */
export function panelStatistics(
  panel: Panel,
  readingsUm: readonly number[],
  spread: Spread = spreadOf([{ [panel.id]: readingsUm }]),
  sizes?: readonly number[],
): PanelStatistics | undefined {
  const film = meanFilm(readingsUm, spread, sizes)
  if (!film) return undefined
  const spots = spotsOf(readingsUm, sizes)
  return {
    n: readingsUm.length,
    meanUm: film.meanUm,
    medianUm: median(readingsUm),
    minUm: Math.min(...readingsUm),
    maxUm: Math.max(...readingsUm),
    madUm: medianAbsoluteDeviation(readingsUm),
    uncertaintyUm: film.uncertaintyUm,
    lowestSpotUm: Math.min(...spots.map(({ meanUm }) => meanUm)),
    spots: spots.length,
    spotsWanted: spotsWanted(panel.areaM2),
  }
}

/** Fewer metal panels than this say nothing about what is usual on a car (mem). */
export const LEVEL_PANELS = 4
/** A factory leaves less than this on a panel, µm (common practice: 75 to 150, rarely above 170). */
export const HIGH_LEVEL_UM = 170
/** Panels of one coat agree better than this, µm, median absolute deviation (mem). */
export const UNEVEN_MAD_UM = 15

/** The level the readable metal panels agree on. Panels with a single reading do not vote; undefined while fewer than four do. */
export function vehicleBaseline(panels: readonly Panel[], readings: Readings): Baseline | undefined {
  const medians = panels
    .filter((panel) => isMetal(panel.substrate))
    .map((panel) => readings[panel.id] ?? [])
    .filter((values) => values.length > 1)
    .map(median)
  return medians.length < LEVEL_PANELS ? undefined : baselineOf(medians)
}

/** Classifies one panel. Refuses to conclude from one reading, and from a surface no gauge can read. */
export function findingOf(
  panel: Panel,
  covering: Covering,
  statistics: PanelStatistics | undefined,
  baseline: Baseline | undefined,
): Finding {
  if (covering === 'wrap') return { kind: 'film', why: 'wrap' }
  if (covering === 'gelcoat') return { kind: 'unreadable', why: 'gelcoat' }
  if (covering === 'bare-metal') return { kind: 'unreadable', why: 'bare-metal' }
  if (covering === 'gloss-plastic') return { kind: 'unreadable', why: 'plastic' }
  if (!isMetal(panel.substrate))
    return { kind: 'unreadable', why: panel.substrate === 'composite' ? 'composite' : 'plastic' }
  if (!statistics) return { kind: 'not-read' }
  if (statistics.n < 2) return { kind: 'too-few', n: statistics.n }
  if (statistics.maxUm > FILLER_UM) return { kind: 'filler-likely', highestUm: statistics.maxUm }
  const { lowestSpotUm, medianUm } = statistics
  const marginUm = lowestSpotUm - gaugeUncertaintyUm(lowestSpotUm) - FLOOR_UM
  if (marginUm <= 0) return { kind: 'thin', lowestSpotUm, marginUm }
  if (!baseline) return { kind: 'no-level', panels: LEVEL_PANELS }
  return comparedWith(baseline, medianUm)
}

/** How a panel stands beside the level of its car. */
function comparedWith({ medianUm: levelUm, stepUm }: Baseline, medianUm: number): Finding {
  const aboveBaselineUm = medianUm - levelUm
  if (aboveBaselineUm > stepUm) return { kind: 'repainted', aboveBaselineUm, stepUm }
  if (aboveBaselineUm < -stepUm) return { kind: 'thinner', belowBaselineUm: -aboveBaselineUm, stepUm }
  return levelUm > HIGH_LEVEL_UM ? { kind: 'all-high', levelUm } : { kind: 'original', aboveBaselineUm }
}

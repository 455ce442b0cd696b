import type { PanelOption } from './choose'
import type { Material } from './material'

/**
 * Gloss by the step, GU at 60° (ISO 2813). Figures of common practice: chalked gelcoat reads 3–4, a cut lifts it to 40–80, a
 * polish to 90 and over; a tired clear reads 90–95 and a corrected one over 100. What lies between is remembered.
 */

/** Where a surface ends that is polished as well as can be, GU. */
const BEST_GU: Record<Material, number> = {
  clear: 102,
  'single-solid': 97,
  'single-metallic': 95,
  gelcoat: 98,
  'painted-plastic': 96,
  'gloss-plastic': 94,
}
/** What a cutting step leaves, GU, of gelcoat that was dull all over: the more of the dead layer is gone, the more. */
const CUT_GELCOAT_GU = { from: 40, to: 80 }
/** A cutting step leaves a haze of its own on paint, GU. */
const CUT_HAZE_GU = 4
/** Below this a surface is dull, and gloss is worth a target of its own. */
export const DULL_BELOW_GU = 88

export type GlossStep = 'cut' | 'finished'

/** Gloss to be expected once a step is done, with the share 0–1 of the marks that it has cleared by then. */
export function expectedGloss(
  material: Material,
  beforeGu: number,
  cleared: number,
  after: GlossStep,
): number {
  const best = BEST_GU[material]
  if (beforeGu >= best) return beforeGu
  if (material === 'gelcoat' && after === 'cut')
    return Math.max(beforeGu, CUT_GELCOAT_GU.from + (CUT_GELCOAT_GU.to - CUT_GELCOAT_GU.from) * cleared)
  const finished = beforeGu + (best - beforeGu) * cleared
  return after === 'finished' ? finished : Math.max(beforeGu, finished - CUT_HAZE_GU)
}

/** What a panel should read when it is done by this option, GU. */
export const glossDone = (
  material: Material,
  beforeGu: number,
  { method, cleared }: Pick<PanelOption, 'method' | 'cleared'>,
): number => (method.steps.length === 0 ? beforeGu : expectedGloss(material, beforeGu, cleared, 'finished'))

/** Instruments read to a few units: a target is agreed in steps of 5 GU. */
const TARGET_STEP_GU = 5

/** A panel whose gloss was read before the work, and how it would be worked. */
export type DullPanel = {
  material: Material
  beforeGu: number
  option: Pick<PanelOption, 'method' | 'cleared'>
}

/** The gloss that all dull panels that are worked can be brought to, GU, never promised too high; undefined where none is dull. */
export function glossTarget(panels: readonly DullPanel[]): number | undefined {
  const done = panels
    .filter(({ beforeGu, option }) => beforeGu < DULL_BELOW_GU && option.method.steps.length > 0)
    .map(({ material, beforeGu, option }) => glossDone(material, beforeGu, option))
  return done.length === 0 ? undefined : TARGET_STEP_GU * Math.floor(Math.min(...done) / TARGET_STEP_GU)
}

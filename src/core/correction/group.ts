import type { PanelJudgement } from '../survey'
import { type Hardness, isMetal } from '../vehicle'
import { HARDNESS_GIVE, type ProcessKey } from './process'

/** Panels that answer the pad alike. What a test spot shows holds for its own group and for no other. */
export const PANEL_GROUPS = ['metal-original', 'metal-repainted', 'plastic', 'other'] as const
export type PanelGroup = (typeof PANEL_GROUPS)[number]

/** The group a panel belongs to. Metal nobody has read counts as original: that asks for more care. */
export function panelGroup({ panel, finding }: Pick<PanelJudgement, 'panel' | 'finding'>): PanelGroup {
  if (finding.kind === 'film') return 'other'
  if (panel.substrate === 'plastic') return 'plastic'
  if (!isMetal(panel.substrate)) return 'other'
  return finding.kind === 'repainted' || finding.kind === 'filler-likely'
    ? 'metal-repainted'
    : 'metal-original'
}

/** What is known of how a group of panels answers the pad. */
export type GroupKnowledge = {
  /** µm it loses for each that paint of medium hardness would. */
  give: number
  /** The process a test spot showed to be enough. */
  settled?: ProcessKey
  /** Processes that did harm at a test spot: haze that stays, stripes, heat. */
  tooMuch: readonly ProcessKey[]
}

export type PaintKnowledge = Readonly<Record<PanelGroup, GroupKnowledge>>

/** What is known before any test spot: the hardness somebody declared. */
export function unprobed(hardness: Hardness): PaintKnowledge {
  const known: GroupKnowledge = { give: HARDNESS_GIVE[hardness], tooMuch: [] }
  return { 'metal-original': known, 'metal-repainted': known, plastic: known, other: known }
}

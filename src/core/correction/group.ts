import type { FindingKind, PanelJudgement } from '../survey'
import { type Hardness, isMetal } from '../vehicle'
import { HARDNESS_GIVE, type Method, type MethodKey } from './method'

/** Panels that answer the pad alike. What a test spot shows holds for its own group and for no other. */
export const PANEL_GROUPS = [
  'metal-original',
  'metal-repainted',
  'plastic',
  'gelcoat',
  'gloss-plastic',
  'other',
] as const
export type PanelGroup = (typeof PANEL_GROUPS)[number]

/** What the film says of a panel that somebody has sprayed since the factory. */
const RESPRAYED: readonly FindingKind[] = ['repainted', 'thinner', 'all-high', 'filler-likely']

/** The group a panel belongs to. Metal nobody has read counts as original: that asks for more care. */
export function panelGroup({
  panel,
  paint,
  finding,
}: Pick<PanelJudgement, 'panel' | 'paint' | 'finding'>): PanelGroup {
  if (finding.kind === 'film') return 'other'
  if (paint.system === 'gelcoat' || paint.system === 'gloss-plastic') return paint.system
  if (panel.substrate === 'plastic') return 'plastic'
  if (!isMetal(panel.substrate)) return 'other'
  return paint.sprayedOn !== undefined || RESPRAYED.includes(finding.kind)
    ? 'metal-repainted'
    : 'metal-original'
}

/** A method as it was tried at a test spot; its strength is that of the steps that were really used, µm of medium paint. */
export type Tried = { key: MethodKey; strength: number }

/** What is known of how a group of panels answers the pad. */
export type GroupKnowledge = {
  /** µm it loses for each that paint of medium hardness would. */
  give: number
  /** How deep its marks lie against the table: 1 as there, 2 twice as deep. */
  depth: number
  /** What a test spot showed to be enough. */
  settled?: Tried
  /** The method the good spot was done by, with its own tools: it stands for the method of that key on these panels. */
  recipe?: Method
  /** Methods that did harm at a test spot: haze that stays, stripes, heat. */
  tooMuch: readonly Tried[]
  /** Methods of which a test spot was good. */
  good: readonly MethodKey[]
}

export type PaintKnowledge = Readonly<Record<PanelGroup, GroupKnowledge>>

/** What is known before any test spot: the hardness somebody declared. */
export function unprobed(hardness: Hardness): PaintKnowledge {
  const known: GroupKnowledge = { give: HARDNESS_GIVE[hardness], depth: 1, tooMuch: [], good: [] }
  return Object.fromEntries(PANEL_GROUPS.map((group) => [group, known])) as Record<PanelGroup, GroupKnowledge>
}

import type { LocalDay } from '../time'
import type { PaintSystem } from './paint-system'
import type { Substrate } from './panel-kinds'
import type { Panel, PanelId } from './panels'

/** Flakes in the paint or none: on a single stage they decide what a rotary may do. */
export const FINISHES = ['solid', 'metallic'] as const
export type Finish = (typeof FINISHES)[number]

/** What covers one panel. A gloss-black pillar is coloured through and carries no paint at all. */
export const COVERINGS = [
  'clear-over-base',
  'single-stage',
  'matte',
  'wrap',
  'gelcoat',
  'bare-metal',
  'gloss-plastic',
] as const satisfies readonly (PaintSystem | 'gloss-plastic')[]
export type Covering = (typeof COVERINGS)[number]

/** As what a panel may be told against its readings. */
export const OVERRULES = ['original', 'repainted', 'filler-likely'] as const
export type Overruled = { as: (typeof OVERRULES)[number]; why: string }

/** Where a panel is not like the rest of its car. What is not said is as on the car. */
export type PanelFacts = {
  paint?: Covering
  finish?: Finish
  colour?: string
  /** The day it was last sprayed. */
  sprayedOn?: LocalDay
  substrate?: Substrate
  /** What somebody says of it against the gauge, and why: that stands beside what the gauge said. */
  overruled?: Overruled
  /** Not there, or nothing on it to work: a glass roof, a hard top at home. */
  absent?: true
}

/** By panel; panels that are as the car are not in it. */
export type PanelsFacts = Readonly<Record<PanelId, PanelFacts>>

/** The paint of one panel, as it is. */
export type PanelPaint = { system: Covering; finish?: Finish; sprayedOn?: LocalDay }

type CarPaint = { paintSystem: PaintSystem; finish?: Finish; facts?: PanelsFacts }

/** The paint of a panel: its own where somebody has said so, else the car's. */
export function paintOf(panel: PanelId, { paintSystem, finish, facts }: CarPaint): PanelPaint {
  const own = facts?.[panel]
  const flakes = own?.finish ?? finish
  return {
    system: own?.paint ?? paintSystem,
    ...(flakes ? { finish: flakes } : {}),
    ...(own?.sprayedOn ? { sprayedOn: own.sprayedOn } : {}),
  }
}

/** The panels a car really has, each of what it is really made of. */
export function panelsAsTheyAre(panels: readonly Panel[], facts: PanelsFacts = {}): Panel[] {
  return panels
    .filter(({ id }) => !facts[id]?.absent)
    .map((panel) => ({ ...panel, substrate: facts[panel.id]?.substrate ?? panel.substrate }))
}

import type { LocalDay } from '../time'
import type { Shape } from './bodies'
import type { PaintSystem } from './paint-system'
import type { Substrate } from './panel-kinds'
import { type Panel, type PanelId, panelsOf } from './panels'
import { PART_IDS, partPaint, partPanel } from './parts'

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
  /** Of a part beside the drawing: it is on this car. */
  present?: true
  /** Not there, or nothing on it to work: a glass roof, a hard top at home. */
  absent?: true
}

/** By panel; panels that are as the car are not in it. */
export type PanelsFacts = Readonly<Record<PanelId, PanelFacts>>

/** The paint of one panel, as it is. */
export type PanelPaint = { system: Covering; finish?: Finish; colour?: string; sprayedOn?: LocalDay }

type CarPaint = { paintSystem: PaintSystem; finish?: Finish; facts?: PanelsFacts }

/**
 * What covers a panel where nobody has said anything of it. Gelcoat comes out of the mould with a house of composite; the metal
 * cab before it is painted, and so are its bumpers (common practice).
 */
export function usualCovering(
  { id, substrate }: Pick<Panel, 'id' | 'substrate'>,
  paintSystem: PaintSystem,
  panels: readonly Panel[],
): Covering {
  const isBeside = substrate !== 'composite' && panels.some((each) => each.substrate === 'composite')
  return partPaint(id) ?? (paintSystem === 'gelcoat' && isBeside ? 'clear-over-base' : paintSystem)
}

/** The paint of a panel among the others of its car: its own where somebody has said so, else what is usual there. */
export function paintOf(
  panel: Panel,
  panels: readonly Panel[],
  { paintSystem, finish, facts }: CarPaint,
): PanelPaint {
  const own = facts?.[panel.id]
  const flakes = own?.finish ?? finish
  return {
    system: own?.paint ?? usualCovering(panel, paintSystem, panels),
    ...(flakes ? { finish: flakes } : {}),
    ...(own?.colour ? { colour: own.colour } : {}),
    ...(own?.sprayedOn ? { sprayedOn: own.sprayedOn } : {}),
  }
}

/** The panels a car really has, each of what it is really made of; then the parts that somebody said are there. */
export function panelsAsTheyAre(panels: readonly Panel[], facts: PanelsFacts = {}): Panel[] {
  const parts = PART_IDS.filter((id) => facts[id]?.present).map(partPanel)
  return [...panels, ...parts]
    .filter(({ id }) => !facts[id]?.absent)
    .map((panel) => ({ ...panel, substrate: facts[panel.id]?.substrate ?? panel.substrate }))
}

/** Every panel and part a vehicle of this shape may have, those that are not there as well: what may be named of it. */
export const anyPanelOf = (shape: Shape): Panel[] => [...panelsOf(shape), ...PART_IDS.map(partPanel)]

/** The panels and parts of one vehicle. */
export const panelsOfVehicle = ({ shape, panelFacts }: { shape: Shape; panelFacts?: PanelsFacts }): Panel[] =>
  panelsAsTheyAre(panelsOf(shape), panelFacts)

/** The panels of a vehicle that are single stage, which a strong solvent dissolves. */
export function singleStagePanels(vehicle: {
  shape: Shape
  paintSystem: PaintSystem
  panelFacts?: PanelsFacts
}): PanelId[] {
  const panels = panelsOfVehicle(vehicle)
  const car = {
    paintSystem: vehicle.paintSystem,
    ...(vehicle.panelFacts ? { facts: vehicle.panelFacts } : {}),
  }
  return panels.filter((panel) => paintOf(panel, panels, car).system === 'single-stage').map(({ id }) => id)
}

/** What stands beside the car when paint is worked: machines, pads and liquids by kind (common practice). */

export const MACHINES = ['rotary', 'forced-rotation', 'long-throw', 'short-throw', 'small', 'hand'] as const
export type Machine = (typeof MACHINES)[number]

/** Coarsest first. */
export const PADS = [
  'disc-3000',
  'wool',
  'microfibre',
  'foam-cut',
  'foam-polish',
  'foam-finish',
  'soft-puck',
] as const
export type Pad = (typeof PADS)[number]

export const LIQUIDS = ['heavy-compound', 'medium-polish', 'finishing-polish', 'all-in-one', 'water'] as const
export type Liquid = (typeof LIQUIDS)[number]

/** What a pad takes with a heavy compound from paint of medium hardness, µm a pass (mem until test spots have told). */
const PAD_UM: Record<Pad, number> = {
  'disc-3000': 0.9,
  wool: 0.56,
  microfibre: 0.42,
  'foam-cut': 0.3,
  'foam-polish': 0.25,
  'foam-finish': 0.12,
  'soft-puck': 0.06,
}

/** How much of that another liquid leaves of it (mem). A disc cuts with what is in it, whatever wets it. */
const LIQUID_SHARE: Record<Liquid, number> = {
  'heavy-compound': 1,
  'medium-polish': 0.8,
  'finishing-polish': 0.65,
  'all-in-one': 1,
  water: 0,
}

/** µm a pass of a pair nobody has measured, from paint of medium hardness. */
export const pairUm = (pad: Pad, liquid: Liquid): number =>
  pad === 'disc-3000' ? PAD_UM[pad] : Math.round(1000 * PAD_UM[pad] * LIQUID_SHARE[liquid]) / 1000

/** Points of haze such a pair leaves for a finer one to clear (mem). */
export const PAIR_HAZE: Record<Pad, number> = {
  'disc-3000': 20,
  wool: 12,
  microfibre: 8,
  'foam-cut': 0.8,
  'foam-polish': 0.5,
  'foam-finish': 0.3,
  'soft-puck': 0.1,
}

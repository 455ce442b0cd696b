import type { OperationKind } from '../offer'

/** Small things that are forgotten, by the kind of step (common practice). */

export const CHECK_IDS = [
  'metal-cool',
  'tar-before-clay',
  'gaps-blown',
  'edges-taped',
  'cups',
  'hot-lamp',
  'pads-ready',
  'edges',
  'fresh-pad',
  'holograms',
  'dust-blown',
  'twice',
  'touch-up-dry',
  'towels',
  'door',
  'lamp-low',
  'looked-together',
  'clean-first',
  'same-places',
  'badges',
  'glass',
  'belongings',
  'torque',
  'torque-recheck',
] as const
export type CheckId = (typeof CHECK_IDS)[number]

export const CHECKLISTS: Record<OperationKind, readonly CheckId[]> = {
  wash: ['metal-cool', 'tar-before-clay', 'gaps-blown'],
  mask: ['edges-taped', 'cups', 'hot-lamp'],
  cut: ['pads-ready', 'edges'],
  refine: ['fresh-pad', 'holograms'],
  polish: ['pads-ready', 'edges'],
  wipe: ['dust-blown', 'twice', 'touch-up-dry'],
  surface: ['towels'],
  layer: ['towels', 'door', 'lamp-low'],
  extra: [],
  vendor: ['looked-together'],
  look: ['clean-first', 'same-places'],
  hold: [],
  finish: ['badges', 'glass', 'belongings'],
}

/** Where wheels were off, at the last step: torque and re-check, by the maker’s figure and a calibrated wrench. */
export const WHEEL_CHECKS: readonly CheckId[] = ['torque', 'torque-recheck']

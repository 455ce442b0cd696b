import type { OperationKind } from '../offer'

/** Small things that are forgotten, by the kind of step (common practice). Their ids stay when the words change. */

export type CheckItem = { id: string; text: string }

export const CHECKLISTS: Record<OperationKind, readonly CheckItem[]> = {
  wash: [
    { id: 'metal-cool', text: 'Wheels and panels are cool to the hand' },
    { id: 'tar-before-clay', text: 'Tar remover rinsed and washed off before clay' },
    { id: 'gaps-blown', text: 'Water blown out of mirrors, badges, handles and shuts' },
  ],
  mask: [
    { id: 'edges-taped', text: 'Edges, trim and rubber taped' },
    { id: 'cups', text: 'Handle cups, pillars, mirror caps and sills looked at' },
    { id: 'hot-lamp', text: 'Lamp on its stand, cable out of the way' },
  ],
  cut: [
    { id: 'pads-ready', text: 'Clean pads laid out, enough for the car' },
    { id: 'edges', text: 'Edges and body lines left out, or passed once' },
  ],
  refine: [
    { id: 'fresh-pad', text: 'Fresh finishing pad, none that has seen compound' },
    { id: 'holograms', text: 'Point lamp from two sides: no trails' },
  ],
  polish: [
    { id: 'pads-ready', text: 'Clean pads laid out' },
    { id: 'edges', text: 'Edges and body lines left out, or passed once' },
  ],
  wipe: [
    { id: 'dust-blown', text: 'Dust blown out of gaps and badges' },
    { id: 'twice', text: 'Twice round, fresh towel face for each panel' },
    { id: 'touch-up-dry', text: 'Touch-up paint is dry' },
  ],
  surface: [{ id: 'towels', text: 'Fresh towels, a box for used ones' }],
  layer: [
    { id: 'towels', text: 'Fresh towels counted out; used ones laid flat' },
    { id: 'door', text: 'Door shut, heater fan off, nobody sweeps' },
    { id: 'lamp-low', text: 'Lamp at eye level before the car is left' },
  ],
  extra: [],
  vendor: [{ id: 'looked-together', text: 'Looked at together under the lamp' }],
  look: [
    { id: 'clean-first', text: 'Iron, tar and old topper off before the water is judged' },
    { id: 'same-places', text: 'Photographs and readings in the same places as last time' },
  ],
  hold: [],
  finish: [
    { id: 'badges', text: 'Badges, plates and tape: refitted, straight, no residue' },
    { id: 'glass', text: 'Glass inside and out, tyres dressed, no sling' },
    { id: 'belongings', text: 'Belongings and keys back where they were' },
  ],
}

/** Where wheels were off, at the last step: torque and re-check, by the maker’s figure and a calibrated wrench. */
export const WHEEL_CHECKS: readonly CheckItem[] = [
  {
    id: 'torque',
    text: 'Wheel nuts to the maker’s torque with a calibrated wrench, crosswise, on the ground',
  },
  { id: 'torque-recheck', text: 'Customer told to have them checked after the first drive' },
]

import type { CheckId } from '@/core/card'

/** Small things that are forgotten, as they are ticked at the car. */
export const CHECK: Record<CheckId, string> = {
  'metal-cool': 'Wheels and panels are cool to the hand',
  'tar-before-clay': 'Tar remover rinsed and washed off before clay',
  'gaps-blown': 'Water blown out of mirrors, badges, handles and shuts',
  'edges-taped': 'Edges, trim and rubber taped',
  cups: 'Handle cups, pillars, mirror caps and sills inspected',
  'hot-lamp': 'Lamp on its stand, cable out of the way',
  'pads-ready': 'Clean pads ready, enough for the car',
  edges: 'Edges and body lines left out, or passed once',
  'fresh-pad': 'Fresh finishing pad, none that has seen compound',
  holograms: 'Point lamp from two sides: no trails',
  'dust-blown': 'Dust blown out of gaps and badges',
  twice: 'Twice round, fresh towel face for each panel',
  'touch-up-dry': 'Touch-up paint is dry',
  towels: 'Fresh towels counted out; used ones spread flat',
  door: 'Door shut, heater fan off, nobody sweeps',
  'lamp-low': 'Lamp at eye level before the car is left',
  'looked-together': 'Checked together under the lamp',
  'clean-first': 'Iron, tar and old topper off before the water is judged',
  'same-places': 'Photographs and readings in the same places as last time',
  badges: 'Badges, plates and tape: refitted, straight, no residue',
  glass: 'Glass inside and out, tyres dressed, no sling',
  belongings: 'Belongings and keys back where they were',
  torque: 'Wheel nuts to the maker’s torque with a calibrated wrench, crosswise, on the ground',
  'torque-recheck': 'Customer told to have them checked after the first drive',
}

/** Places that are easily missed on a walk round a car (common practice). */
export const EASILY_MISSED = [
  { id: 'handle-cups', name: 'Door-handle cups', look: 'nail scratches round the handle' },
  { id: 'pillars', name: 'Pillars', look: 'soft plastic, swirls beside the glass' },
  { id: 'mirror-caps', name: 'Mirror caps', look: 'chips on the nose, scuffs on the outside' },
  { id: 'boot-edge', name: 'Boot edge', look: 'scratches from loading' },
  { id: 'sills', name: 'Sills', look: 'grit, shoes, jacking damage' },
  { id: 'behind-plate', name: 'Behind the plate', look: 'old screws, rust, unwashed paint' },
  { id: 'roof-seams', name: 'Roof seams', look: 'algae, cracked sealer' },
  { id: 'seals', name: 'Seals', look: 'torn, hardened, growing green' },
  { id: 'door-edges', name: 'Door edges and shuts', look: 'chips, touch-up, overspray lines' },
  { id: 'fuel-flap', name: 'Under the fuel or charge flap', look: 'the colour nobody has polished' },
] as const

export type EasilyMissed = (typeof EASILY_MISSED)[number]['id']

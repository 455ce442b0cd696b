/** Places that are easily missed on a walk round a car (common practice). */
export const EASILY_MISSED = [
  'handle-cups',
  'pillars',
  'mirror-caps',
  'boot-edge',
  'sills',
  'behind-plate',
  'roof-seams',
  'seals',
  'door-edges',
  'fuel-flap',
] as const
export type EasilyMissed = (typeof EASILY_MISSED)[number]

import type { Region } from '@/core/region'
import type { EasilyMissed } from '@/core/survey'
import { title } from '../title'
import { spelt } from './spelling'
import { termsOf } from './terms'

export const isEasilyMissed = (place: string): place is EasilyMissed =>
  Object.hasOwn(EASILY_MISSED_WORDS, place)

/** The places one easily misses: what they are called, and what is often found there. */
export const EASILY_MISSED_WORDS: Record<EasilyMissed, (region: Region) => { name: string; look: string }> = {
  'handle-cups': () => ({ name: 'Door-handle cups', look: 'nail scratches round the handle' }),
  pillars: () => ({ name: 'Pillars', look: 'soft plastic, swirls beside the glass' }),
  'mirror-caps': () => ({ name: 'Mirror caps', look: 'chips on the nose, scuffs on the outside' }),
  'boot-edge': (region) => ({
    name: `${title(region, termsOf(region).bootShort)} edge`,
    look: 'scratches from loading',
  }),
  sills: (region) => ({ name: title(region, termsOf(region).sills), look: 'grit, shoes, jacking damage' }),
  'behind-plate': () => ({ name: 'Behind the plate', look: 'old screws, rust, unwashed paint' }),
  'roof-seams': () => ({ name: 'Roof seams', look: 'algae, cracked sealer' }),
  seals: () => ({ name: 'Seals', look: 'torn, hardened, growing green' }),
  'door-edges': () => ({ name: 'Door edges and shuts', look: 'chips, touch-up, overspray lines' }),
  'fuel-flap': (region) => ({
    name: 'Under the fuel or charge flap',
    look: spelt(region, 'the colour nobody has polished'),
  }),
}

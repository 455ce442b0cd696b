import type { PlaceSurface } from '../vehicle'
import type { Severity } from './defects'

/** What can be wrong with wheels, glass, lights, soft tops, trim and the interior. None of it has a film to spend. */

export const PLACE_DEFECT_KINDS = [
  'kerbed',
  'corroded',
  'baked-dust',
  'glass-chip',
  'glass-crack',
  'glass-scratches',
  'glass-spots',
  'cloudy',
  'cracked-lens',
  'torn',
  'faded',
  'growth',
  'stained',
  'gouged',
  'rust',
  'missing',
  'worn',
  'odour',
] as const
export type PlaceDefectKind = (typeof PLACE_DEFECT_KINDS)[number]

/** Something wrong with a place that is not paint; the note says where exactly. */
export type PlaceDefect = { kind: PlaceDefectKind; severity: Severity; note: string }

type PlaceDefectModel = { name: string; on: readonly PlaceSurface[]; remedy: string }

/** Where each kind occurs and who puts it right (common practice). */
export const PLACE_DEFECT_MODEL: Record<PlaceDefectKind, PlaceDefectModel> = {
  kerbed: { name: 'Kerb damage', on: ['wheel'], remedy: 'a wheel refinisher' },
  corroded: { name: 'Corrosion under the lacquer', on: ['wheel'], remedy: 'a wheel refinisher' },
  'baked-dust': {
    name: 'Baked-on brake dust',
    on: ['wheel'],
    remedy: 'wheel cleaner, as far as the lacquer allows',
  },
  'glass-chip': { name: 'Stone chip in the glass', on: ['glass'], remedy: 'a glass repairer' },
  'glass-crack': { name: 'Cracked glass', on: ['glass'], remedy: 'a glass repairer' },
  'glass-scratches': { name: 'Wiper scratches', on: ['glass'], remedy: 'glass polish, in part' },
  'glass-spots': { name: 'Mineral spots on glass', on: ['glass'], remedy: 'acid cleaner or glass polish' },
  cloudy: { name: 'Cloudy lens', on: ['light'], remedy: 'lens restoration, sold as an extra' },
  'cracked-lens': { name: 'Cracked lens', on: ['light'], remedy: 'a new lamp' },
  torn: { name: 'Torn', on: ['fabric', 'trim', 'interior'], remedy: 'an upholsterer or a new part' },
  faded: { name: 'Faded', on: ['fabric', 'trim', 'interior'], remedy: 'a dressing, for a time' },
  growth: { name: 'Algae or moss', on: ['fabric', 'trim', 'glass', 'bed'], remedy: 'brush and cleaner' },
  stained: { name: 'Stained', on: ['fabric', 'interior', 'bed'], remedy: 'cleaning, as far as it goes' },
  gouged: { name: 'Gouged', on: ['bed', 'trim'], remedy: 'repair or leave' },
  rust: { name: 'Rust', on: ['bed', 'wheel', 'trim'], remedy: 'a refinisher' },
  missing: { name: 'Missing or loose', on: ['trim', 'interior', 'wheel', 'light'], remedy: 'a new part' },
  worn: { name: 'Worn', on: ['interior', 'bed', 'fabric'], remedy: 'repair or leave' },
  odour: { name: 'Odour', on: ['interior'], remedy: 'cleaning; its source must go first' },
}

/** The kinds that can occur on a surface, in the order of the table. */
export function placeDefectsOn(surface: PlaceSurface): PlaceDefectKind[] {
  return PLACE_DEFECT_KINDS.filter((kind) => PLACE_DEFECT_MODEL[kind].on.includes(surface))
}

import type { PlaceSurface } from '../vehicle'
import type { Severity } from './defects'

/** What can be wrong with wheels, glass, lights, soft tops, trim, chrome and the interior. None of it has a film to spend. */

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
  'tarnished',
  'pitted',
] as const
export type PlaceDefectKind = (typeof PLACE_DEFECT_KINDS)[number]

/** Something wrong with a place that is not paint; the note says where exactly. */
export type PlaceDefect = { kind: PlaceDefectKind; severity: Severity; note: string }

/** Where each kind occurs (common practice). */
const OCCURS_ON: Record<PlaceDefectKind, readonly PlaceSurface[]> = {
  kerbed: ['wheel'],
  corroded: ['wheel'],
  'baked-dust': ['wheel'],
  'glass-chip': ['glass'],
  'glass-crack': ['glass'],
  'glass-scratches': ['glass'],
  'glass-spots': ['glass'],
  cloudy: ['light'],
  'cracked-lens': ['light'],
  torn: ['fabric', 'trim', 'interior'],
  faded: ['fabric', 'trim', 'interior'],
  growth: ['fabric', 'trim', 'glass', 'bed'],
  stained: ['fabric', 'interior', 'bed'],
  gouged: ['bed', 'trim'],
  rust: ['bed', 'wheel', 'trim', 'chrome'],
  missing: ['trim', 'interior', 'wheel', 'light', 'chrome'],
  worn: ['interior', 'bed', 'fabric'],
  odour: ['interior'],
  tarnished: ['chrome'],
  pitted: ['chrome'],
}

/** The kinds that can occur on a surface, in the order of the table. */
export function placeDefectsOn(surface: PlaceSurface): PlaceDefectKind[] {
  return PLACE_DEFECT_KINDS.filter((kind) => OCCURS_ON[kind].includes(surface))
}

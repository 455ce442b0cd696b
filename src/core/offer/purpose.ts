import type { Method } from '../correction'
import { methodIn } from '../correction'
import type { PanelId, Purpose } from '../vehicle'
import type { PackageTemplate } from './package'

/**
 * What a car is for decides where an hour is best spent. About to be sold, one works on what a buyer sees first and stops (common
 * practice: bonnet, driver's door, mirror caps); how much more that counts is remembered (mem).
 */

const FIRST_SEEN = /^(bonnet|front-door-|door-|front-wing-|front-bumper|mirror-)/
const SEEN_FIRST_WEIGHT = 2
const SEEN_LATER_WEIGHT = 0.5

/** How much more a panel counts for that purpose than by area and by how much it is seen; 1 where the purpose says nothing. */
export function purposeWeight(purpose: Purpose, panel: PanelId): number {
  if (purpose !== 'sale') return 1
  return FIRST_SEEN.test(panel) ? SEEN_FIRST_WEIGHT : SEEN_LATER_WEIGHT
}

/** A package that suits a car for that purpose: for a sale one that cleans, brightens and protects in one go. */
export const suitsPurpose = (
  purpose: Purpose,
  { layers, strongest }: PackageTemplate,
  methods: readonly Method[],
): boolean =>
  purpose === 'sale' && layers.length === 0 && (methodIn(methods, strongest)?.leavesProtection ?? false)

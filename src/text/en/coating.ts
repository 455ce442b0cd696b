import { type ExposureId, FAR_KM, type GuaranteeRuleId, MUCH_KM } from '@/core/aftercare'
import type { CoatingRuleId } from '@/core/coating'
import type { PackageFault } from '@/core/offer'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import { measured } from '../formats'

/** Why a coating may not go on, or a guarantee does not hold, and what to do. Read by staff only. */

type Rule = { reason: string; remedy: string }

export const COATING_RULE: Record<CoatingRuleId, Rule> = {
  'strong-solvent-on-single-stage': {
    reason: 'A strong solvent softens old single-stage paint and pulls its pigment.',
    remedy: 'Choose a product with a mild solvent or none.',
  },
  'coating-over-all-in-one': {
    reason: 'An all-in-one leaves protection behind, and a coating does not bond to it.',
    remedy: 'Go over it with a light polish and wipe it, or sell the all-in-one alone.',
  },
  'film-after-coating': {
    reason: 'Film does not stick to a coating.',
    remedy: 'Film first, on bare (uncoated) paint; the coating goes over it.',
  },
  'not-for-paint': {
    reason: 'One of these products is not made for paint.',
    remedy: 'Choose a product for paint; each surface has its own.',
  },
  'not-for-this-surface': {
    reason: 'A product is named for a surface it is not made for.',
    remedy: 'Choose one made for that surface; each has its own.',
  },
  'top-without-base': {
    reason: 'A top coat bonds to its base, not to bare paint.',
    remedy: 'Begin with the base it belongs to.',
  },
  'base-over-top': {
    reason: 'A base over a top coat has nothing to bond to.',
    remedy: 'All bases first, then the tops.',
  },
  'bare-metal': {
    reason: 'Bare metal takes a protection of its own, not a paint coating.',
    remedy: 'Polish the metal and use a product made for it.',
  },
  'old-coating-first': {
    reason: 'There is an old coating on this car. A new one does not bond to it.',
    remedy:
      'Take it off the way its maker says, and test that water no longer beads, before the first layer.',
  },
  'wax-or-sealant-first': {
    reason: 'Wax or sealant was put on before.',
    remedy: 'Decontaminate and polish it off; wipe twice.',
  },
  'fresh-respray': {
    reason:
      'Some panels were sprayed less than 30 days ago. Fresh paint still gives off solvent: nothing that seals goes on them in this job.',
    remedy: 'Wait as long as the data sheet of the paint says, then protect them.',
  },
  'respray-undated': {
    reason:
      'A panel was resprayed lately, or nobody knows when. Fresh paint still gives off solvent under a coating.',
    remedy: 'Ask the painter when it was done; wait as long as the data sheet of the paint says.',
  },
  'out-of-conditions': {
    reason: 'As the bay is now, a product of this plan must not be applied.',
    remedy: 'Warm, air or dry the bay before the first layer; the job card measures again.',
  },
  'bottle-too-old': {
    reason: 'A bottle for this plan is past its shelf life.',
    remedy:
      'Do not use it on paint: open a fresh bottle. Follow the data sheet for the old one, or dispose of it.',
  },
  'too-little-in-the-bottle': {
    reason: 'There is too little of a product in the shop for this car.',
    remedy: 'Order it before the first layer: a layer is not applied from half a bottle.',
  },
}

export const GUARANTEE_RULE: Record<GuaranteeRuleId, Rule> = {
  'no-guarantee': {
    reason: 'This product is sold without a guarantee.',
    remedy: 'Offer the repair at its price.',
  },
  'past-its-term': {
    reason: 'The guarantee has run out.',
    remedy: 'Offer the repair at its price, or recoating the whole car.',
  },
  'visit-missed': {
    reason: 'A visit that keeps the guarantee valid was not made.',
    remedy:
      'Check whether it was made elsewhere and enter it; otherwise the shop may still choose to be generous.',
  },
  'brush-washed': {
    reason: 'It is washed by brushes, which the care sheet rules out.',
    remedy: 'Show the marks under the lamp. Offer the repair at its price.',
  },
  'from-outside': {
    reason: 'Something else caused it, not the coating.',
    remedy: 'Keep a photograph of it. The owner’s insurance may pay for an accident.',
  },
  'painted-since': {
    reason: 'The panel was resprayed since; the coating went with the old paint.',
    remedy: 'Recoat it once the fresh paint has gassed out, at its price.',
  },
  'not-tested-clean': {
    reason: 'It was not decontaminated before the test. Dirt hides a coating that is still there.',
    remedy: 'Remove iron and tar, wipe the panel, and test the water again.',
  },
  'cause-unknown': {
    reason: 'Nobody has entered the cause.',
    remedy: 'Check under the lamp and at eye level for etching or scrapes, and enter what you see.',
  },
}

/** What shortens the life of a coating on this car. */
export const EXPOSURE_RULE: Record<ExposureId, { reason: (region: Region) => string; remedy: string }> = {
  'brush-washed': {
    reason: () => 'Brushes rub the coating thin, always at the same places.',
    remedy: 'Wash by hand with two buckets, or touchless.',
  },
  'touchless-washed': {
    reason: () => 'A touchless wash must clean by strong chemistry.',
    remedy: 'Ask for the mildest wash, and wash by hand in between.',
  },
  'washing-not-asked': {
    reason: () => 'Nobody has asked how it is washed.',
    remedy: 'Ask at the next visit.',
  },
  'sleeps-outside': {
    reason: () => 'Sun, droppings and dew are on it day and night.',
    remedy: 'A roof over it, even an open one, and droppings off within the day.',
  },
  'half-outside': {
    reason: () => 'A carport keeps off the rain, not the damp.',
    remedy: 'Dry it before it stands for long.',
  },
  'driven-far': {
    reason: (region) => `More than ${measured(region, 'distance', FAR_KM)} a year of grit and tar.`,
    remedy: 'Remove tar twice a year, and inspect the front at every visit.',
  },
  'driven-much': {
    reason: (region) => `More than ${measured(region, 'distance', MUCH_KM)} a year of grit and tar.`,
    remedy: 'Remove tar once a year at least.',
  },
  'salted-roads': {
    reason: () => 'Road salt stays wet and works on through the winter.',
    remedy: 'Rinse it every week while the roads are salted, underneath too.',
  },
  'hard-water': {
    reason: () => 'Hard water dries to spots that etch.',
    remedy: 'Dry after every wash; never let the sun do it.',
  },
}

/** Why a package cannot be sold as it is written down. */
export function packageFaultText(fault: PackageFault): string {
  switch (fault.code) {
    case 'unknown-product':
      return `“${fault.id}” is not in the catalogue. Choose another product.`
    case 'unknown-vendor':
      return `“${fault.id}” is no subcontractor of this shop. Choose another one.`
    case 'unknown-method':
      return 'The strongest method of this package is no longer offered. Choose another one.'
    case 'rule':
      return `${COATING_RULE[fault.rule].reason} ${COATING_RULE[fault.rule].remedy}`
    default:
      return unreachable(fault)
  }
}

import type { Product, ProductKind, SUITS } from '@/core/coating'
import type { Strength } from '@/core/supply'

/** What products are called on the shop's own pages. Read by staff only. */

export const PRODUCT_KIND_NAME: Record<ProductKind, string> = {
  base: 'Coating, base layer',
  top: 'Coating, top layer',
  single: 'Coating, by itself',
  sealant: 'Sealant',
  wax: 'Wax',
  topper: 'Topper',
}

export const SOLVENT_NAME = { none: 'None', mild: 'Mild', strong: 'Strong' } as const

export const SUITS_NAME: Record<(typeof SUITS)[number], string> = {
  daily: 'Daily use',
  show: 'Show cars',
  'old-paint': 'Old paint',
}

export const STRENGTH_NAME: Record<Strength['kind'], string> = {
  neat: 'as it comes',
  parts: 'thinned with water, 1 to',
  'on-panel': 'so that this lands on the panel, %',
}

/** A product where one is chosen, with whom it suits best. */
export const suitedName = ({ name, suits }: Pick<Product, 'name' | 'suits'>) =>
  suits.length === 0 ? name : `${name} (${suits.map((each) => SUITS_NAME[each].toLowerCase()).join(', ')})`

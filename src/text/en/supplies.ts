import type { StoreKey } from '@/core/stock'
import type { SupplyKind, WashLiquid } from '@/core/supply'

/** What is washed and polished with, by what it is for. */

const WASH_LIQUID_NAME: Record<WashLiquid, string> = {
  'fabric-cleaner': 'fabric cleaner',
  'wheel-cleaner': 'wheel cleaner',
  'acid-wheel-cleaner': 'acid wheel cleaner',
  'all-purpose-cleaner': 'all-purpose cleaner',
  foam: 'foam',
  shampoo: 'shampoo',
  'stripping-wash': 'stripping shampoo',
  'tyre-cleaner': 'tyre cleaner',
  'rinseless-wash': 'rinseless wash',
  'rinseless-strong': 'rinseless wash, strong',
  'iron-remover': 'iron remover',
  'tar-remover': 'tar remover',
  'clay-lubricant': 'clay lubricant (rinseless wash)',
  'acid-spot-remover': 'acid spot remover',
}

export const SUPPLY_NAME: Record<SupplyKind, string> = {
  ...WASH_LIQUID_NAME,
  compound: 'compound',
  polish: 'polish',
  'finishing-polish': 'finishing polish',
  'all-in-one': 'all-in-one polish',
  prep: 'panel wipe',
}

/** What is counted on the shelf beside coatings. */
export const STORE_NAME: Record<StoreKey, string> = { ...SUPPLY_NAME, tape: 'masking tape' }

/** What is poured, by the name on the shop’s bottle. */
export const pouredName = ({ kind, name }: { kind: SupplyKind; name: string }) => name || SUPPLY_NAME[kind]

export {
  type Bottle,
  type BottleState,
  bottleState,
  goodUntil,
  isUsable,
  pourPlan,
  shelfForRules,
  usableBottles,
} from './bottle'
export { type CoatToCome, needsOf, type ProductNeed } from './needs'
export type { BottleOnShelf, Shelf, ShelfBottle } from './shelf'
export {
  SUPPLY_KINDS,
  type Supply,
  type SupplyKind,
  type SupplyState,
  supplyState,
  WASHES_MOST,
} from './supply'

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
export { isOrderLate, isOrderOf, type OrderOf, type StockOrder } from './orders'
export type { BottleOnShelf, Shelf, ShelfBottle } from './shelf'
export { type OnShelf, onShelf, type Short, shortFor } from './short'
export {
  type Need,
  type PadSize,
  PRICED_BY,
  padNeeds,
  STORE_KEYS,
  type Store,
  type StoreKey,
  storeNeeds,
  storeUnit,
  type Takes,
  type ToCome,
  usedCents,
} from './stores'
export {
  SUPPLY_KINDS,
  type Supply,
  type SupplyKind,
  type SupplyState,
  supplyState,
  WASHES_MOST,
} from './supply'
export { wornCents } from './worn'

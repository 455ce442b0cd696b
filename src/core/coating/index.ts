export { type CoatStep, coatSteps } from './coat-steps'
export { type ConditionBreach, conditionBreaches } from './conditions'
export { usualProduct } from './defaults'
export { flashBand, flashFactor, SHEET_AIR } from './flash'
export { type CoatingOutlook, coatingOutlook } from './outlook'
export {
  catalogueSchema,
  type EarlierSheet,
  earlierSheetSchema,
  isCoating,
  type LaidProduct,
  OTHER_SURFACES,
  type OtherSurface,
  PRODUCT_KINDS,
  type Product,
  type ProductKind,
  productSchema,
  SUITS,
  SURFACES,
  type Surface,
  sheetThen,
} from './product'
export {
  type BottleInShop,
  COATING_RULES,
  type CoatingPlan,
  type CoatingRule,
  type CoatingRuleId,
  coatingBreaches,
  millilitresNeeded,
} from './rules'
export { SURFACE, type SurfaceCoat, surfaceAreaM2, surfaceMinutes } from './surface'
export { type LayerWindow, type WindowState, windowAfter, windowState } from './window'

export { type ConditionBreach, conditionBreaches, conditionBreachText } from './conditions'
export { flashBand, flashFactor } from './flash'
export { catalogueSchema, type Product, productSchema } from './product'
export {
  type BottleInShop,
  COATING_RULES,
  type CoatingPlan,
  type CoatingRule,
  coatingBreaches,
  millilitresNeeded,
} from './rules'
export { type LayerWindow, type WindowState, windowAfter, windowState } from './window'

export { type ConditionBreach, conditionBreaches, conditionBreachText } from './conditions'
export { flashBand, flashFactor } from './flash'
export { catalogueSchema, type Product, productSchema } from './product'
export { type LayerWindow, type WindowState, windowAfter, windowState } from './window'

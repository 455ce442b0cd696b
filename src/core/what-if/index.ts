export { costPerWeek } from './change-cost'
export { type AskedCar, BUSIER, type Busier, busier, type CarMoney, moneyOf } from './demand'
export { FIGURES, type Figure } from './figures'
export { PATIENCE_DAYS } from './replay'
export {
  aboutOf,
  MOST_SHIFTED,
  type ShopChange,
  type ShopChangeKind,
  setupWith,
  shopChangeSchema,
} from './shop-change'
export { type Compared, leaning, type Spread } from './spread'
export type { ShopTrial } from './trial'
export {
  type Bought,
  bought,
  boughtSchema,
  busierSchema,
  type Ground,
  LIVES,
  type Question,
  type ShopRuns,
  shopRuns,
} from './what-if'

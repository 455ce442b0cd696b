export {
  type Dwell,
  SEEDED_SUPPLIES,
  type Strength,
  SUPPLY_KINDS,
  type Supply,
  type SupplyKind,
  suppliesSchema,
  supplyFor,
  supplySchema,
  WASH_LIQUIDS,
  type WashLiquid,
} from './supply'

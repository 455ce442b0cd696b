export { PLACES, plainRegion, type RegionOfPlace } from './places'
export { shown, stored } from './quantities'
export {
  LANGUAGES,
  type Language,
  METRIC,
  type Quantity,
  type Region,
  readIn,
  regionSchema,
  type Units,
  US_CUSTOMARY,
  unitsSchema,
} from './region'

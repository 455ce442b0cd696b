export { bodyOf, isShape, SHAPE_NAME, SHAPES, type Shape } from './bodies'
export {
  type EarlierTreatment,
  PURPOSES,
  type Purpose,
  STORAGES,
  type Storage,
  TREATMENTS,
  type Treatment,
  WASHINGS,
  type Washing,
} from './life'
export {
  HARDNESSES,
  type Hardness,
  PAINT_SYSTEMS,
  type PaintSystem,
} from './paint-system'
export { panelsFactsSchema, SUBSTRATES } from './panel-facts-schema'
export type { Difficulty, Orientation, PanelKind, Substrate } from './panel-kinds'
export {
  anyPanelOf,
  COVERINGS,
  type Covering,
  FINISHES,
  type Finish,
  OVERRULES,
  type Overruled,
  type PanelFacts,
  type PanelPaint,
  type PanelsFacts,
  paintOf,
  panelsAsTheyAre,
  panelsOfVehicle,
  singleStagePanels,
  usualCovering,
} from './panel-paint'
export { isMetal, type Panel, type PanelId, paintedAreaM2, panelsOf, placesOf } from './panels'
export { isPart, PART_IDS, type PartId, partPanel } from './parts'
export type { PlaceKind } from './place-kinds'
export { PLACE_SURFACES, type PlaceSurface } from './place-kinds'
export type { Place } from './places'
export { type BodyPlan, bodyPlan, type PlanBackdrop, type PlanOutline } from './plan'
export { type BayRoom, fitsIn, SIZE_BOUNDS, sizeOf, USUAL_SIZE, type VehicleSize } from './size'
export type { Vehicle } from './vehicle'
export { checkDigitOf, normaliseVin, readVin, type VinNote, type VinReading, type VinRegion } from './vin'

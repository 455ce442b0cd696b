export { bodyOf, isShape, SHAPE_NAME, SHAPES, type Shape } from './bodies'
export {
  type EarlierTreatment,
  PURPOSE,
  PURPOSES,
  type Purpose,
  STORAGE_NAME,
  STORAGES,
  type Storage,
  TREATMENT,
  TREATMENTS,
  type Treatment,
  WASHING_NAME,
  WASHINGS,
  type Washing,
} from './life'
export {
  HARDNESSES,
  type Hardness,
  PAINT_SYSTEM_GUIDE,
  PAINT_SYSTEMS,
  type PaintSystem,
} from './paint-system'
export type { Difficulty, Orientation, PanelKind, Substrate } from './panel-kinds'
export { isMetal, type Panel, type PanelId, paintedAreaM2, panelsOf, placesOf } from './panels'
export type { PlaceKind } from './place-kinds'
export { PLACE_SURFACES, type PlaceSurface } from './place-kinds'
export type { Place } from './places'
export { type BodyPlan, bodyPlan, type PlanBackdrop, type PlanOutline } from './plan'
export type { Vehicle } from './vehicle'
export { checkDigitOf, normaliseVin, readVin, type VinNote, type VinReading, vinNoteText } from './vin'

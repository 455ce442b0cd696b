export { type Backdrop, drawingOf } from './drawings'
export {
  HARDNESSES,
  type Hardness,
  PAINT_SYSTEM_GUIDE,
  PAINT_SYSTEMS,
  type PaintSystem,
} from './paint-system'
export { type BodyPlan, bodyPlan, type PlanOutline } from './plan'
export {
  type Difficulty,
  isMetal,
  isShape,
  type Orientation,
  type Panel,
  type PanelId,
  paintedAreaM2,
  panelsOf,
  SHAPES,
  type Shape,
  type Substrate,
} from './shapes'
export { checkDigitOf, normaliseVin, readVin, type VinNote, type VinReading, vinNoteText } from './vin'

export {
  CLAY_GRADES,
  CLEAN,
  type ClayGrade,
  type Contamination,
  type ContaminationPart,
  type ContaminationScore,
  clayGrade,
  contaminationScore,
  type Level,
  SIGHTS,
  type Sight,
  ZONES,
  type Zone,
} from './contamination'
export { WASH_SCHOOLS, type WashContext, type WashSchool } from './context'
export {
  capfuls,
  drawnShare,
  type Lance,
  type LanceError,
  lanceBottle,
  type Pour,
  panelShare,
  partsWaterOf,
  pourFor,
  shareOf,
} from './dilution'
export type { StoredWash, WashFindings } from './findings'
export { mergeFindings } from './merge'
export {
  METHOD_REASONS,
  type MethodReason,
  methodHere,
  NEAR_FREEZING_C,
  RINSELESS_RULES,
  type WashMethod,
  type WashPlace,
  washMethod,
} from './method'
export {
  type Mix,
  type PlannedStep,
  type Poured,
  planWash,
  type WashFacts,
  type WashGear,
  type WashInput,
  type WashPlan,
} from './plan'
export { WASH_STEP_IDS, WASH_STEPS, type WashStep, type WashStepId } from './steps'

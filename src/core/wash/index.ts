export {
  CLAY_GRADES,
  CLEAN,
  type ClayGrade,
  type Contamination,
  type ContaminationScore,
  clayGrade,
  contaminationScore,
  type Level,
  SIGHT_LABEL,
  SIGHT_NAME,
  SIGHTS,
  type Sight,
  TOUCH_NAME,
  ZONE_NAME,
  ZONES,
  type Zone,
} from './contamination'
export { WASH_SCHOOLS, type WashContext, type WashSchool } from './context'
export {
  capfuls,
  drawnShare,
  type Lance,
  lanceBottle,
  lanceErrorText,
  type Pour,
  panelShare,
  partsWaterOf,
  pourFor,
  shareOf,
} from './dilution'
export type { StoredWash, WashFindings } from './findings'
export type { WashLine } from './line'
export { mergeFindings } from './merge'
export { NEAR_FREEZING_C, RINSELESS_RULES, type WashMethod, type WashPlace, washMethod } from './method'
export {
  type Mix,
  type PlannedStep,
  planWash,
  type WashGear,
  type WashInput,
  type WashPlan,
} from './plan'
export { type Dwell, WASH_STEPS, type WashStep } from './steps'

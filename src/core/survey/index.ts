export { type Baseline, baselineOf, RESPRAY_STEP_UM } from './baseline'
export {
  type BudgetLimit,
  LIFETIME_UM,
  METHOD_CAP_UM,
  type RemovalBudget,
  removalBudget,
  SCHOOLS,
  type School,
  UNREAD_CAP_UM,
} from './budget'
export {
  type Condition,
  conditionFactor,
  type Letter,
  letterOf,
  panelCondition,
  panelWeight,
  vehicleIndex,
} from './condition'
export { type ReadingsCsvError, readingsCsvErrorText, readingsFromCsv } from './csv'
export {
  clearedShare,
  DEFECT_KINDS,
  DEFECT_MODEL,
  type Defect,
  type DefectKind,
  depthScaleUm,
  type Severity,
} from './defects'
export {
  FILLER_UM,
  type Finding,
  type FindingKind,
  findingOf,
  type PanelStatistics,
  panelStatistics,
  type Readings,
  vehicleBaseline,
} from './finding'
export { FLOOR_UM, gaugeUncertaintyUm } from './gauge'
export { judge, type PanelJudgement, type SurveyInput, type VehicleJudgement } from './judge'
export { READINGS_PER_SPOT, type Spot, spotsOf, spotsWanted } from './spots'
export { mean, median, medianAbsoluteDeviation, standardDeviation, standardError } from './statistics'
export { FINDING_NAME, findingReason, limitArithmetic } from './wording'

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
  type Letter,
  letterOf,
  mainMark,
  panelCondition,
  panelWeight,
  wholeIndex,
} from './condition'
export {
  FILM_UNITS,
  type FilmUnit,
  guessMapping,
  type Mapping,
  MOST_LINES,
  panelTexts,
  type ReadingsCsvError,
  readingsFromCsv,
  readingsFromTable,
} from './csv'
export {
  clearedShare,
  DEFECT_KINDS,
  DEFECT_MODEL,
  type Defect,
  type DefectKind,
  type DefectModel,
  depthScaleUm,
  type Severity,
} from './defects'
export { asDeep, type DepthScales, depthKey } from './depths'
export {
  FILLER_UM,
  type Finding,
  type FindingKind,
  findingOf,
  HIGH_LEVEL_UM,
  LEVEL_PANELS,
  type PanelStatistics,
  panelStatistics,
  type Readings,
  vehicleBaseline,
} from './finding'
export { FLOOR_UM, gaugeUncertaintyUm } from './gauge'
export {
  BLACK_GLASS_INDEX,
  fresnelReflectance,
  GLOSS_ANGLE,
  GLOSS_MAX_GU,
  glossUnits,
  glossWord,
  reflectanceOf,
} from './gloss'
export { type Grade, inspectedWeight, meanOfInspected, uninspected } from './grade'
export {
  type Judging,
  judge,
  judgeRecord,
  onceBare,
  type PanelJudgement,
  REMARKS,
  type Remark,
  type SurveyInput,
  type VehicleJudgement,
} from './judge'
export {
  isSpotWork,
  NOTHING_TAKEN,
  REMOVAL_SOURCES,
  type Removal,
  type RemovalSource,
  readWitnesses,
  removalsOfVisit,
  spotRemovals,
  type Taken,
  takenByPanel,
  takenForSure,
  type Witness,
  WORKED_OUT_UNCERTAINTY,
  witnessed,
} from './ledger'
export type { LedgerEntry } from './ledger-entry'
export { EASILY_MISSED, type EasilyMissed } from './looked'
export { differingEntries, type Merge, mergeSurveys } from './merge'
export {
  believable,
  DAY_OFFSET_UM,
  type Difference,
  type DifferenceQuestion,
  meanFilm,
  questionOf,
  removalAtMarks,
  removalAtSpot,
  removalBetween,
  removalElsewhere,
  removalWhere,
  type Spread,
  spreadOf,
  spreadOfSpots,
} from './metrology'
export { inOtherUnit } from './other-unit'
export {
  PLACE_DEFECT_KINDS,
  type PlaceDefect,
  type PlaceDefectKind,
  placeDefectsOn,
} from './place-defects'
export { type Prospect, prospectOf, type Verdict } from './prospect'
export { countedUm, DOUBT_UM, doubtful, type Reading } from './reading'
export {
  allDefects,
  countedReadings,
  edgeReadings,
  emptyMeasured,
  emptyRecord,
  type Measured,
  type NotedDefect,
  PHASES,
  type Phase,
  type SurveyRecord,
  withAgain,
  withDefects,
  withInspected,
  withoutMark,
} from './record'
export {
  type Mends,
  type OnPanels,
  SIGN_OFF_RULES,
  type SignOffFact,
  type SignOffLine,
  type SignOffRule,
  signOffFor,
} from './sign-off'
export type { Signature, SignedOff } from './signed'
export { MOST_SIGNED, signatureSchema, strokeSchema } from './signed'
export { READINGS_PER_SPOT, type Spot, type SpotSizes, spotsOf, spotsWanted } from './spots'
export { mean, median, medianAbsoluteDeviation, standardDeviation } from './statistics'
export type { StoredSurvey } from './stored'

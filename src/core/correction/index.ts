export { CARE, CARES, type Care, underCare } from './care'
export { type Ceiling, ceilingOf } from './ceiling'
export {
  type ChoiceSettings,
  type CorrectionPlan,
  choosePanel,
  clearedBy,
  correctionOf,
  indexAfter,
  type PanelChoice,
  type PanelOption,
  panelOption,
  planCorrection,
} from './choose'
export { brokenRules, FORBID_IDS, FORBID_RULES, type ForbidId, type ForbidRule } from './forbidden'
export {
  type Frontier,
  type FrontierOption,
  type FrontierPanel,
  type FrontierPoint,
  farthest,
  frontierOf,
  kneeOf,
} from './frontier'
export {
  type GroupKnowledge,
  PANEL_GROUPS,
  type PaintKnowledge,
  type PanelGroup,
  panelGroup,
  unprobed,
} from './group'
export { atPace, machineKey, type Pace, paceFor } from './pace'
export {
  HARDNESS_GIVE,
  hazeLeft,
  keptProcess,
  PROCESS_KEYS,
  PROCESSES,
  type Process,
  type ProcessKey,
  processOf,
  removalUm,
  type Step,
  stepRemovalUm,
} from './process'
export { passSeconds, processMinutes, type StepMinutes, stepMinutes } from './time'
export {
  type Locks,
  type PanelWays,
  planAsChosen,
  type VehicleFrontier,
  vehicleFrontier,
} from './vehicle-frontier'
export type { PanelWay } from './way'

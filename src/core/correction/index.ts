export {
  type ChoiceSettings,
  type CorrectionPlan,
  choosePanel,
  correctionOf,
  indexAfter,
  type PanelChoice,
  type PanelOption,
  panelOption,
  planCorrection,
} from './choose'
export { brokenRules, FORBID_RULES, type ForbidRule } from './forbidden'
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
  hazeLeft,
  PROCESS_KEYS,
  PROCESSES,
  type Process,
  type ProcessKey,
  processOf,
  removalUm,
  type Step,
} from './process'
export { passSeconds, processMinutes, stepMinutes } from './time'
export {
  type Locks,
  type PanelWays,
  planAsChosen,
  type VehicleFrontier,
  vehicleFrontier,
} from './vehicle-frontier'

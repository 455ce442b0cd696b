export { CARE, CARES, type Care, underCare } from './care'
export { type Ceiling, ceilingOf } from './ceiling'
export {
  type ChoiceSettings,
  type CorrectionPlan,
  choosePanel,
  clearedBy,
  correctionOf,
  indexAfter,
  optionsOf,
  type PanelChoice,
  type PanelOption,
  panelOption,
  planCorrection,
} from './choose'
export {
  LIQUIDS,
  type Liquid,
  MACHINES,
  type Machine,
  PADS,
  PAIR_HAZE,
  type Pad,
  pairUm,
} from './equipment'
export {
  brokenRules,
  FORBID_IDS,
  FORBID_RULES,
  type ForbidId,
  type ForbidLevel,
  type ForbidRule,
  FRESH_DAYS,
} from './forbidden'
export {
  advisedOn,
  type Frontier,
  type FrontierOption,
  type FrontierPanel,
  type FrontierPoint,
  farthest,
  frontierOf,
} from './frontier'
export { DULL_BELOW_GU, expectedGloss, glossDone, glossTarget } from './gloss'
export {
  type GroupKnowledge,
  PANEL_GROUPS,
  type PaintKnowledge,
  type PanelGroup,
  panelGroup,
  type Tried,
  unprobed,
} from './group'
export { MATERIALS, type Material, materialOf } from './material'
export {
  HARDNESS_GIVE,
  type Handling,
  hazeLeft,
  keptMethod,
  type Method,
  type MethodKey,
  methodIn,
  mildestFirst,
  offered,
  openStep,
  type Passes,
  passesOf,
  removalUm,
  type Step,
  stepRemovalUm,
  strengthOf,
  upTo,
  type Worked,
  type WorkedStep,
  worked,
} from './method'
export { methodSchema, methodsSchema } from './method-schema'
export { atPace, machineKey, type Pace, paceFor } from './pace'
export { roleAt, withRoles } from './roles'
export { LEAVE, SEEDED_METHODS, seededMethod } from './seeded'
export { minutesOfSetUps, type SetUp, setUpsOf } from './set-ups'
export { type SpotWork, spotWork } from './spot-work'
export { methodMinutes, passSeconds, type StepMinutes, stepMinutes } from './time'
export {
  type Locks,
  type PanelWays,
  planAsChosen,
  type VehicleFrontier,
  vehicleFrontier,
} from './vehicle-frontier'
export type { PanelWay } from './way'

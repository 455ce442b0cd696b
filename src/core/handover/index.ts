export { type Balance, balanceOf, PAYMENT_WAYS, type Payment, type PaymentWay } from './balance'
export { beforeAfter, type PanelChange } from './before-after'
export { type Eyes, eyesFor } from './eyes'
export type { Handover } from './going-home'
export {
  blindToIt,
  type InspectionItem,
  type InspectionState,
  inspectionItems,
  inspectionState,
  judgesOfOwnWork,
  openHighSpots,
  reachedClearing,
  type Verdict,
} from './inspection'
export { INSPECTOR_RULES, type InspectorRule } from './inspector-rule'
export {
  DRIVE_HOME_MINUTES,
  type Goes,
  type GoingOut,
  goesSchema,
  keepingCents,
  keepsItIn,
  type LetGo,
  SKIES,
  type SkySpell,
  type WaterAhead,
  waterAhead,
} from './let-go'
export type { PrivateLink } from './private-link'
export {
  isRework,
  REWORK_MINUTES,
  type ReworkAt,
  reworkFor,
  reworkOf,
  reworksIn,
  stepsToSendTo,
  withRework,
} from './rework'
export { reworkUm } from './rework-removal'
export { takeBackUntil } from './take-back'
export { isTorqueOpen } from './torque'

export { CAUTIONS, RECIPES } from './cautions'
export {
  joinParts,
  type LiveJob,
  type MissedWindow,
  nextSlot,
  type PlanningOptions,
  type Progress,
  plannedId,
  planningProblem,
  progressAt,
  type ShopCalendar,
  waitBegan,
} from './live'
export { freeSettings, makeOffer, type Offer, type OfferInput, offerWith, settingsOf } from './offer'
export {
  type JobLink,
  type JobPlan,
  type JobStay,
  OPERATION_KINDS,
  type OperationKind,
  type PlannedOperation,
  planOperations,
  SKILLS,
  type Skill,
} from './operations'
export { type PackageTemplate, packageTemplateSchema, type Rates, ratesSchema } from './package'
export { type Price, type PriceLine, priceOf } from './quote'
export { type Stage, stageOf } from './stage'
export { openedWindow, windowLink } from './window'

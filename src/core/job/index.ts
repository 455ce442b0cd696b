export { cautionFor, recipeFor } from './cautions'
export { type Choices, choicesSchema, chosenOffer } from './choices'
export {
  BAY_KINDS,
  type BayKind,
  type Crew,
  crewSchema,
  storedCrew,
  type TypedCrew,
  type TypedWeek,
  typedCrew,
} from './crew'
export { AIR, type DampAir, isCoat } from './damp-air'
export {
  enquiryOffer,
  inAnyIndoorBay,
  TOLD_STATE,
  TOLD_STATES,
  type ToldState,
  washedInside,
  withExtraDay,
} from './enquiry'
export { frozenWashes, type PlanChange, takesLonger } from './events'
export { type Expectation, expectationOf, whyThis } from './expectation'
export {
  type ChosenExtra,
  EXTRA,
  EXTRA_KEYS,
  type ExtraKey,
  type ExtraProposal,
  extraApplies,
  includedCount,
  mergeExtras,
  proposeExtras,
} from './extras'
export { type FeedJob, personEvents, placeEvents, shopEvents } from './feeds'
export { hoursText, readHours } from './hours'
export { inTitles } from './in-titles'
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
export {
  freeSettings,
  makeOffer,
  type Offer,
  type OfferChoices,
  type OfferInput,
  offerWith,
  settingsOf,
} from './offer'
export {
  type JobLink,
  type JobPlan,
  type JobStay,
  OPERATION_KINDS,
  type OperationKind,
  type PlannedOperation,
  planOperations,
  type WorkOrder,
} from './operations'
export { type Outage, shopWithout } from './outage'
export {
  type PackageTemplate,
  packageTemplateSchema,
  type Rates,
  ratesSchema,
  type Terms,
  termsSchema,
} from './package'
export { type PackageFault, packageBreaches, packageFaults } from './package-faults'
export { closePrice, type Price, type PriceLine, priceOf, type Totals } from './quote'
export { type QuoteDecision, type QuoteState, quoteState } from './quote-state'
export { repairPlan, visitPlan } from './short-jobs'
export { shortSummary } from './short-told'
export { SKILLS, type Skill, type VendorSkill, vendorSkill } from './skill'
export { type Stage, stageOf } from './stage'
export { planSchema, type Summary, summaryOf, summarySchema } from './told'
export {
  TRADE_NAME,
  TRADES,
  type Trade,
  VENDOR_STAGE_NAME,
  VENDOR_STAGES,
  type Vendor,
  type VendorStage,
  vendorSchema,
} from './vendor'
export { calendarOfDays, daysOfCalendar, type VendorDays, vendorDaysSchema, WEEK } from './vendor-days'
export { openedWindow, windowLink } from './window'

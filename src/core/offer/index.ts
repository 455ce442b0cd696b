export type { Agreement } from './agreement'
export { type Coming, isOtherDay } from './another-day'
export { onceFilmIsOff } from './bare'
export {
  type AgreedNow,
  type Changed,
  type ChangeFault,
  calledOffAt,
  changeOf,
  type LineChange,
  lineChanges,
} from './changed'
export { broughtForward, type StateOf, type StepState } from './changed-plan'
export { type Choices, choicesSchema, chosenOffer } from './choices'
export { type LayerPart, partOfLayer, shareOfLayer } from './coat-parts'
export { type Collecting, collectingSchema } from './collecting'
export {
  type Expectation,
  expectationOf,
  type InspectedShare,
  LIMITING_PAINTS,
  type LimitingPaint,
  REMAINING_CODES,
  type RemainingCode,
  SEEN_POINTS,
  type Standing,
  type WhyLeft,
} from './expectation'
export {
  type ChosenExtra,
  EXTRA,
  EXTRA_KEYS,
  type ExtraKey,
  type ExtraProposal,
  extraApplies,
  includedCount,
  mergeExtras,
  piecesOf,
  proposeExtras,
  proposeTrades,
  type TradeProposal,
} from './extras'
export { firstNameOf, stepCode } from './first-name'
export { type BudgetBuys, forBudget } from './for-budget'
export { linkBetween } from './in-order'
export {
  attendedMinutes,
  type JobLink,
  type JobPlan,
  type JobStay,
  OPERATION_KINDS,
  type OperationKind,
  type PlannedOperation,
} from './job-plan'
export { keptInOf, withKeptIn, withoutKeptIn } from './kept-in'
export { machineRoles, POLISHING_SCHOOLS, type PolishingSchool } from './machine-roles'
export { type Bought, boughtIn, mendedBy } from './mends'
export {
  freeSettings,
  makeOffer,
  type Offer,
  type OfferChoices,
  type OfferInput,
  offerWith,
  settingsOf,
} from './offer'
export { type OfferCurve, offerCurve } from './offer-curve'
export { type OneOff, oneOffSchema } from './one-off'
export { dryHold, planOperations, type WorkOrder } from './operations'
export { APART, paceKey } from './pace-key'
export {
  type PackageTemplate,
  packageTemplateSchema,
  type Rates,
  ratesSchema,
  type Terms,
  termsSchema,
} from './package'
export { type PackageFault, packageBreaches, packageFaults } from './package-faults'
export { NO_PITCH, type Pitch, pitchFor } from './pitch'
export { purposeWeight, suitsPurpose } from './purpose'
export { closePrice, lineBeforeTax, type Price, type PriceLine, priceOf, type Totals } from './quote'
export { type AgreedBy, type QuoteDecision, type QuoteState, quoteState } from './quote-state'
export { type QuoteRow, type QuoteText, quoteTextSchema } from './quote-text'
export type { Quote, QuoteChange, ShownPhoto } from './quote-version'
export { recoat, repairPlan, visitPlan } from './short-jobs'
export { shortSummary } from './short-told'
export { isSubcontractor, SKILLS, type Skill, type VendorSkill, vendorSkill } from './skill'
export { type FirstName, type PlainStep, type StepName, stepNameSchema } from './step-name'
export {
  CUSTOMER_TAX,
  type CustomerTax,
  TAXED,
  type Tax,
  type Taxation,
  type Taxed,
  type TaxPart,
  taxationFor,
} from './tax'
export {
  agreedWork,
  type FormerlyTold,
  planSchema,
  type Summary,
  summaryOf,
  summarySchema,
  taxParts,
} from './told'
export {
  AWAY_THINGS,
  type AwayThing,
  TRADES,
  type Trade,
  VENDOR_STAGES,
  type Vendor,
  type VendorStage,
  vendorSchema,
} from './vendor'
export {
  calendarOfDays,
  daysOfCalendar,
  type VendorDays,
  vendorDaysSchema,
  vendorWhenSchema,
  WEEK,
} from './vendor-days'
export { withWashAgain } from './wash-again'
export type { WorkedBy } from './worked-by'

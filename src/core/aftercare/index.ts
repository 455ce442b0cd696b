export type { CareDates } from './care-dates'
export {
  type CareAsk,
  type CareDate,
  carePlan,
  type LocalClimate,
  nextMonthStart,
} from './care-plan'
export { CARE_RULES, type CareRule, type CareRuleId, type CareSubject, careRulesFor } from './care-rules'
export type { Coat, CoatedPart } from './coat'
export {
  type AngleError,
  type ContactAngle,
  contactAngle,
  DROP_MOST_MM,
} from './contact-angle'
export { type CorrectionsLeft, correctionsLeft } from './corrections-left'
export { expectedLife } from './expected-life'
export {
  EXPOSURE_RULES,
  type Exposure,
  type ExposureId,
  type ExposureRule,
  exposureOf,
  FAR_KM,
  MUCH_KM,
  type Use,
} from './exposure'
export {
  GUARANTEE_RULES,
  type GuaranteeAnswer,
  type GuaranteeCase,
  type GuaranteeRule,
  type GuaranteeRuleId,
  guaranteeFor,
} from './guarantee'
export { type Held, heldOf } from './held'
export { type CareCalendar, careIcalendar, type Worded } from './icalendar'
export type { KeptLook, VisitWish } from './kept-look'
export {
  CAUSES,
  type Cause,
  FEELS,
  type Feel,
  isBlind,
  type Look,
  WATERS,
  type Water,
} from './look'
export {
  careMilestones,
  isAhead,
  type LaidLayer,
  lifeMonthsOf,
  type Milestone,
  wheelCheck,
} from './milestones'
export {
  hasGone,
  type Outlook,
  outlookOf,
  type Unit,
  type UnitOutlook,
} from './outlook'
export { BAND_CHANCE, type Band } from './outlook-grid'
export type { Measure, PanelTrend, Round } from './panel-trend'
export {
  type CoatedCar,
  isForeseen,
  isTooFar,
  LEAST_CARS,
  type PooledLife,
  pooledLife,
  proposedLife,
} from './pooled-life'
export type { ProtectedUnit, Protection, SurfaceProtection } from './protected'
export { GONE_LEVEL, levelAt, likelihood, waterChances } from './protection'
export {
  DUE_STATES,
  type DueState,
  dueState,
  LAPSED_DAYS,
  nextVisit,
  type Rhythm,
  rhythmMonths,
  SOON_DAYS,
  VISIT_REASONS,
  type VisitReason,
  type VisitWindow,
  visitsOwed,
} from './rhythm'
export { type Trend, type TrendPoint, trendOf } from './trend'

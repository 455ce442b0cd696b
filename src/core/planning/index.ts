export type { AwaitedThere, AwayThere } from './away-there'
export { type CarEvent, floorAfter, promiseOfUrgent } from './car-event'
export { bringTime, collectionTime, isCounterOpen } from './collection-time'
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
export { type DampAir, isCoat } from './damp-air'
export type { DayOffered } from './day-offered'
export {
  enquiryOffer,
  inAnyIndoorBay,
  TOLD_STATES,
  type ToldState,
  washedInside,
  withExtraDay,
} from './enquiry'
export { EQUIPMENT_KINDS, type Equipment, type EquipmentKind, equipmentSchema } from './equipment'
export { backThen, frozenWashes, type LateBack, type PlanChange, takesLonger } from './events'
export { type FeedJob, type FeedWords, personEvents, placeEvents, shopEvents } from './feeds'
export {
  AWAY,
  calendarNow,
  calledOn,
  type Floor,
  type FloorJob,
  liveJob,
  openJobs,
  shopCalendar,
} from './floor'
export { HANDED_ON_ANSWERS, type HandedOn, type HandedOnAnswer } from './handed-on'
export { type Advice, adviceFor, type Help, placedAnew } from './helps'
export { endsSoon, type Hold, heldJob, withoutHoldFor } from './hold'
export { hoursText, readHours } from './hours'
export { latenessIn } from './lateness'
export { type Lent, withLent } from './lent'
export type { MoveHistory } from './moves'
export { type Moved, standing, type ToMove } from './moves'
export { type NamedReason, namedReasons } from './named-reason'
export { newJob } from './new-job'
export { type Outage, type OutageKind, shopWithout, touchedBy } from './outage'
export { joinParts } from './parts'
export {
  asPlanned,
  CHURN_PER_STEP,
  keptPlan,
  NOBODY,
  PLAN_ALL_STEPS,
  PLAN_SEED,
  type Planned,
  planAround,
  planEverything,
  planFloor,
  planOnFloor,
  standingPlan,
} from './plan-floor'
export { planFor } from './plan-for'
export type { Planning } from './planning'
export type { PlanningOptions } from './planning-options'
export type { PricedOffer } from './priced-offer'
export type { Foreseen, PlannedFrom, Proposal, ToPlan } from './proposal'
export { SHARING, type Sharing } from './sharing'
export {
  type MissedWindow,
  nextSlot,
  planningProblem,
  type ShopCalendar,
} from './shop-problem'
export { isTight, mayOverrun } from './slack'
export { FIRST_SPREAD, onePanel, spreadIn } from './spreads'
export { FIRST_SURE_MARK, SURE_MARKS, type SureMark } from './sure-marks'
export { collectingTimes, promiseAnew } from './sureness'
export type { ToConfirm } from './to-confirm'
export { everythingToPlan } from './to-plan'
export { alike, type MethodChange, type MethodPreview, type SpotNews, type ToPut } from './to-put'
export { UNAGREED, type Unagreed } from './unagreed'
export type { WaitingNote } from './waiting-note'
export { type Behind, type Watch, type Watched, watchPromise, watchPromises } from './watch'
export { openedWindow, windowLink } from './window'

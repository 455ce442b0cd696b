export { type Away, awayNow } from './away'
export { type Care, careOf, productName } from './cure'
export { DUE_FILTERS, type DueCar, type DueFilter } from './due-car'
export type { EarlierVisit } from './earlier-visit'
export { agreementCloses, JOB_KINDS, type Job, type JobKind } from './job'
export type { KnownVehicle } from './known-vehicle'
export type { LayerLog } from './layer-log'
export { goesOnWith, type OpenStep, openNow } from './open-now'
export type { OwnerPage } from './owner-page'
export type { Past } from './past'
export {
  type Awaited,
  hasBegun,
  type LiveJob,
  type Progress,
  progressAt,
  stepStates,
  waitBegan,
} from './progress'
export { type Stage, stageOf } from './stage'
export type { Stay, TimelineEntry } from './timeline'
export type { VehicleCare } from './vehicle-care'
export type { VisitView } from './visit-view'
export { washTooOld } from './wash-age'
export { type StepState, WAY, type WayFacts, type WayStep, wayOf } from './way'

export { JOB_KINDS, type Job, type JobKind } from './job'
export type { KnownVehicle } from './known-vehicle'
export { type LiveJob, type Progress, progressAt, waitBegan } from './progress'
export { type Stage, stageOf } from './stage'

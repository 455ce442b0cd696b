export { type JobChange, planChanges } from './changes'
export { type BrokenRule, checkSchedule } from './check'
export { closedBetween, openedOn } from './closure'
export type { Churn } from './draft'
export { type ChainLink, explainEarliest } from './explain'
export { MoveDesk, type OperationMove, type Rearranged, type StayMove, type Tried } from './move-desk'
export { nextOpen, openMinutesBetween, openSpans } from './open-minutes'
export { PROBLEM_FORMAT, type Problem, type ProblemCalendar, type ProblemJob, problemSchema } from './problem'
export { type Random, seededRandom } from './random'
export type { Refusal } from './refusal'
export {
  type PlacedOperation,
  placedOperationSchema,
  SCHEDULE_FORMAT,
  type Schedule,
  type ScheduleReason,
  scheduleSchema,
} from './schedule-file'
export type { SearchOptions, SearchProgress } from './search'
export { type Solution, Solver, solve } from './solve'
export { type Soonest, soonestFor } from './soonest'

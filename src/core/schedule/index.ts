export { type JobChange, planChanges } from './contract/changes'
export { type BrokenRule, checkSchedule } from './contract/check'
export { closedBetween, openedBetween, openedOn } from './contract/closure'
export { type FaultFacts, fault, type PlainFault, readFault } from './contract/faults'
export { nextOpen, openMinutesBetween, openSpans } from './contract/open-minutes'
export {
  type Closed,
  calendarsSchema,
  type DryAir,
  PROBLEM_FORMAT,
  type Problem,
  type ProblemCalendar,
  type ProblemJob,
  type ProblemOperation,
  problemSchema,
} from './contract/problem'
export type { PlacingReason, ScheduleReason } from './contract/reason'
export {
  type PlacedOperation,
  placedOperationSchema,
  SCHEDULE_FORMAT,
  type Schedule,
  scheduleSchema,
} from './contract/schedule-file'
export { type ChainLink, explainEarliest } from './explain/explain'
export { MoveDesk } from './rearrange/move-desk'
export type { OperationMove, Rearranged, StayMove, Tried } from './rearrange/moves'
export type { Refusal } from './rearrange/refusal'
export { luckIn, RUNS_DAILY, rehearseDaily } from './rehearse/daily'
export { type LivedJob, LivedShop, type LuckOf } from './rehearse/lived-shop'
export { logVariance, spreadOf } from './rehearse/lognormal'
export { drawLuck } from './rehearse/luck'
export { indexesOf } from './rehearse/order'
export {
  type Outcome,
  type Play,
  playAll,
  playedRuns,
  playOf,
  type Rehearsal,
  type RehearsedJob,
  type RehearsedWindow,
  type RehearseOptions,
  RUNS,
  rehearse,
  shareBy,
  TOLERATED_MINUTES,
} from './rehearse/rehearse'
export type { Churn } from './solver/draft'
export { scheduleFrom } from './solver/placements'
export { type Random, seededRandom } from './solver/random'
export type { SearchOptions, SearchProgress } from './solver/search'
export { type Solution, Solver, solve } from './solver/solve'
export { type Soonest, soonestFor, soonestGreedy } from './solver/soonest'
export { type Eater, eatersOf } from './sure/blame'
export { type ChanceChange, chanceChanges, chancesByDue } from './sure/compare'
export { disturbance, type Late, WORTH_A_CALL } from './sure/disturbance'
export { makeWay } from './sure/make-way'
export { BETWEEN_PEOPLE, chanceAt, PROMISE_SEED, type Promised, promisesOf } from './sure/promises'
export { putBack } from './sure/put-back'
export { type SureOptions, type SureSolution, solveSure } from './sure/solve-sure'
export { type SureSoonest, soonestSure } from './sure/soonest-sure'
export { SureSolver, type SureSolverOptions } from './sure/sure-solver'

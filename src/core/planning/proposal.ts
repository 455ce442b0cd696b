import type { JobId } from '../ids'
import type { StepName } from '../offer'
import type { Churn, JobChange, PlacedOperation, Problem } from '../schedule'
import type { Instant } from '../time'
import type { CarEvent } from './car-event'
import type { PlanChange } from './events'
import type { Lent } from './lent'
import type { NamedReason } from './named-reason'
import type { Outage } from './outage'
import type { Planning } from './planning'

export type Proposal = {
  id: string
  planning: Planning
  /** What found no room, or no window, in this plan. */
  reasons: NamedReason[]
  /** Names of people and bays, by id. */
  names: Record<string, string>
  /** What it was worked out for; it becomes known with the plan. */
  outage?: Outage
  /** The car that is needed sooner, by when, and when it could be fetched by this plan; absent where it has no place. */
  urgent?: { plate: string; by: Instant; collectAt?: Instant }
  /** What whoever leaves is in the middle of. */
  underWay: { plate: string; title: StepName }[]
  changes: (JobChange & { plate: string; collectBefore?: Instant; collectAfter?: Instant })[]
}

/** From when a problem is, and from what floor: enough to make it again. */
export type PlannedFrom = { at: Instant; basis: string }

/** What a planner beside the server needs. The same seed and steps give the same plan, however fast the machine is. */
export type ToPlan = {
  from: PlannedFrom
  problem: Problem
  /** The plan that stands, to begin with. */
  standing: PlacedOperation[]
  churn: Churn
  seed: number
  steps: number
  /** The chance with which promises are to hold. */
  sure: number
}

/** What a plan is worked out for. */
export type Foreseen =
  /** Everything may move that is not yet begun. */
  | { kind: 'everything' }
  /** Only the jobs it touches move, if that can be. */
  | { kind: 'outage'; outage: Outage }
  /** Something happens to one car. */
  | { kind: 'car'; event: CarEvent }
  /** Somebody is lent to the shop for some days. */
  | { kind: 'lent'; lent: Lent }
  /** One car's steps are placed anew, so that its promise is surer; nobody else moves. */
  | { kind: 'surer'; job: JobId }
  /** Only the cars whose work it changes move, if that can be. */
  | { kind: 'work'; changes: readonly PlanChange[]; cause: string }

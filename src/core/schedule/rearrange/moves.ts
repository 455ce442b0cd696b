import type { BayId, JobId, OperationId, PersonId } from '../../ids'
import type { Instant } from '../../time'
import type { JobChange } from '../contract/changes'
import type { PlacedOperation } from '../contract/schedule-file'
import type { Refusal } from './refusal'

/** An operation to begin at a moment; with another person, or its car in another place, where that is asked for. */
export type OperationMove = {
  job: JobId
  operation: OperationId
  start: Instant
  place?: BayId
  person?: PersonId
}

/** A stay of a job, with all that follows it, to begin no earlier than a moment; in this place where one is named. */
export type StayMove = { job: JobId; stay: string; from: Instant; place?: BayId }

/** A calendar after a move, as what differs from the one that stands. */
export type Rearranged = {
  /** When the moved operation, or what is left of the job, begins. */
  start: Instant
  /** All operations of the jobs that change. */
  operations: PlacedOperation[]
  changes: JobChange[]
  /** Ids of other jobs that make way. */
  pushed: string[]
  /** Minutes by which promises are missed more, and bays held longer; less where negative. */
  lateMinutes: number
  bayMinutes: number
}

/** What may come of a move: one way or two, the wished one first; or the rule that forbids it and the nearest that is allowed. */
export type Tried =
  | { kind: 'allowed'; ways: [Rearranged, ...Rearranged[]] }
  | { kind: 'refused'; refusal: Refusal; nearest?: Rearranged }

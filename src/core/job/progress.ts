import type { JobId, PersonId } from '../ids'
import type { StepState } from '../offer/changed-plan'
import type { JobPlan, PlannedOperation } from '../offer/job-plan'
import type { PlacedOperation } from '../schedule'
import { type Instant, plusMinutes } from '../time'
import type { VehicleSize } from '../vehicle'

/** How far an operation has come. */
export type Progress =
  | { kind: 'open' }
  /** `dueBack`: when what left the shop for it is to be back, as last said. */
  | { kind: 'started'; at: Instant; by?: PersonId; dueBack?: Instant }
  | { kind: 'done'; from: Instant; to: Instant; by?: PersonId }

/** Something that was ordered for a step and has not come. */
export type Awaited = { what: string; supplier: string; due: Instant }

/** A job as the shop floor has it: its plan and what has really happened. */
export type LiveJob = {
  id: JobId
  arrive: Instant
  due?: Instant
  weight: number
  plan: JobPlan
  /** How much room its vehicle takes; it fits everywhere where that is not known. */
  size?: VehicleSize
  progress: Readonly<Record<string, Progress>>
  /** Where each operation was last planned. */
  published: readonly PlacedOperation[]
  /** Steps that wait for what was ordered for them, and when that is due. */
  awaited?: Readonly<Record<string, Awaited>>
  /** Operations that the manager wants to stay where they are planned. */
  pinned?: readonly string[]
}

/** Whether anything of a job has been begun. */
export const hasBegun = ({ progress }: Pick<LiveJob, 'progress'>): boolean =>
  Object.values(progress).some(({ kind }) => kind !== 'open')

/**
 * When an unattended wait began: where it was started, or at the real end of what it follows without a gap.
 * Nobody presses a button for a cure.
 */
export function waitBegan(job: LiveJob, operation: PlannedOperation): Instant | undefined {
  const progress = job.progress[operation.id]
  if (progress?.kind === 'started') return progress.at
  if (operation.mode !== 'unattended') return undefined
  const link = job.plan.links.find(({ to, max }) => to === operation.id && max === 0)
  const before = link && job.progress[link.from]
  return before?.kind === 'done' ? before.to : undefined
}

/** How far each step of a job has come, as far as a change of its plan cares. */
export const stepStates = (job: LiveJob, now: Instant): Record<string, StepState> =>
  Object.fromEntries(
    job.plan.operations.map((operation) => [operation.id, STATE[progressAt(job, operation, now).kind]]),
  )

const STATE = { open: 'open', started: 'begun', done: 'over' } as const satisfies Record<
  Progress['kind'],
  StepState
>

/** An operation's progress as the clock has it: a wait that began is over when its minutes have passed. */
export function progressAt(job: LiveJob, operation: PlannedOperation, now: Instant): Progress {
  const known = job.progress[operation.id] ?? { kind: 'open' }
  if (known.kind === 'done' || operation.mode !== 'unattended') return known
  const began = waitBegan(job, operation)
  if (!began) return known
  const ends = plusMinutes(began, operation.minutes)
  return ends <= now ? { kind: 'done', from: began, to: ends } : { kind: 'started', at: began }
}

import type { AccountId, JobId } from '../ids'
import type { StepName } from '../offer'
import type { Instant } from '../time'

/** A step that a trainee finished, until somebody else has looked at it. */
export type ToConfirm = {
  id: string
  jobId: JobId
  plate: string
  title?: StepName
  account: AccountId
  by: string
  at: Instant
}

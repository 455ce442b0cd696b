import type { JobId } from '../ids'
import type { Instant } from '../time'

/** What a tablet sent and the shop did not take, in words for the office. */
export type RefusedView = {
  id: string
  at: Instant
  jobId?: JobId
  plate?: string
  what: string
  why: string
}

import type { Instant } from '../time'

/** What a tablet sent and the shop did not take, in words for the office. */
export type RefusedView = {
  id: string
  at: Instant
  jobId?: string
  plate?: string
  what: string
  why: string
}

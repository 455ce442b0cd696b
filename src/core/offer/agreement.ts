import type { JobId } from '../ids'
import type { Instant } from '../time'
import type { Collecting } from './collecting'
import type { JobPlan } from './job-plan'
import type { Summary } from './told'

export type Agreement = {
  jobId: JobId
  /** Of the quote that was accepted, from 1; absent where it was agreed before quotes were kept, or without one. */
  version?: number
  packageKey: string
  packageName: string
  plan: JobPlan
  summary: Summary
  totalCents: number
  promisedFor: Instant
  /** With which chance it was promised, and when it would be ready more surely; absent where that was not worked out. */
  chances?: readonly Collecting[]
  agreedAt: Instant
}

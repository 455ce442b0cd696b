import type { JobId } from '../ids'
import type { Instant } from '../time'
import type { JobPlan } from './job-plan'
import type { Summary } from './told'

export type Agreement = {
  jobId: JobId
  packageKey: string
  packageName: string
  plan: JobPlan
  summary: Summary
  totalCents: number
  promisedFor: Instant
  agreedAt: Instant
}

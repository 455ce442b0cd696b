import type { JobId, OperationId } from '../ids'
import { type LiveJob, progressAt } from '../job'
import type { JobPlan } from '../offer/job-plan'
import type { Instant } from '../time'
import { washedInside } from './enquiry'

/** What happens to the work itself rather than to who is there: plans that change, by job. */
export type PlanChange = { job: JobId; plan: JobPlan }

/** Something that is away, and when it comes back by what is said now. */
export type LateBack = { job: JobId; operation: OperationId; dueBack: Instant }

/** The job with what is away coming back then; undefined where that is not away. */
export function backThen(live: LiveJob, { operation, dueBack }: LateBack): LiveJob | undefined {
  const progress = live.progress[operation]
  const step = live.plan.operations.find(({ id }) => id === operation)
  return step?.away && progress?.kind === 'started'
    ? { ...live, progress: { ...live.progress, [operation]: { ...progress, dueBack } } }
    : undefined
}

/** It freezes: whatever was to be washed outside in that time is washed without a hose where the car then stays. */
export function frozenWashes(
  jobs: readonly LiveJob[],
  { from, until }: { from: Instant; until: Instant },
  now: Instant,
): PlanChange[] {
  return jobs.flatMap((live): PlanChange[] => {
    const wash = live.plan.operations.find(({ kind }) => kind === 'wash')
    const placed = wash && live.published.find(({ operation }) => operation === wash.id)
    if (!wash || !placed || progressAt(live, wash, now).kind !== 'open') return []
    if (placed.start >= until || placed.end <= from) return []
    const plan = washedInside(live.plan)
    return plan === live.plan || plan.stays.length === live.plan.stays.length ? [] : [{ job: live.id, plan }]
  })
}

/** A step takes longer than was planned, or less long where `minutes` is negative; five minutes at least. */
export function takesLonger(live: LiveJob, operation: OperationId, minutes: number): PlanChange | undefined {
  const known = live.plan.operations.find(({ id }) => id === operation)
  if (!known) return undefined
  const changed = { ...known, minutes: Math.max(5, known.minutes + minutes) }
  return {
    job: live.id,
    plan: { ...live.plan, operations: live.plan.operations.map((each) => (each === known ? changed : each)) },
  }
}

import { toOperationId } from '../ids'
import { type Instant, minutesBetween } from '../time'
import { stepCode } from './first-name'
import type { JobPlan, PlannedOperation } from './job-plan'

/** A finished car that is kept in until its coat may get wet. */

const isKeptIn = ({ title }: PlannedOperation) => stepCode(title) === 'kept-in'

/** The wait that keeps a car in, where there is one. */
export const keptInOf = ({ operations }: Pick<JobPlan, 'operations'>): PlannedOperation | undefined =>
  operations.find(isKeptIn)

/**
 * The plan with the car kept in after its last step, which ended at `ended`, until its coat may get wet. It waits where it stands. Undefined
 * where it may get wet already, or is kept in.
 */
export function withKeptIn(plan: JobPlan, ended: Instant, dryUntil: Instant): JobPlan | undefined {
  const last = plan.operations.at(-1)
  const minutes = Math.ceil(minutesBetween(ended, dryUntil))
  if (!last || minutes <= 0 || keptInOf(plan)) return undefined
  const wait: PlannedOperation = {
    id: toOperationId('kept-in'),
    kind: 'hold',
    title: { code: 'kept-in' },
    minutes,
    mode: 'unattended',
    people: 0,
  }
  return {
    operations: [...plan.operations, wait],
    links: [...plan.links, { from: last.id, to: wait.id, min: 0, max: 0 }],
    stays: plan.stays.map((stay) =>
      stay.operations.includes(last.id) ? { ...stay, operations: [...stay.operations, wait.id] } : stay,
    ),
  }
}

/** The plan without that wait. */
export function withoutKeptIn(plan: JobPlan): JobPlan {
  const wait = keptInOf(plan)
  if (!wait) return plan
  return {
    operations: plan.operations.filter(({ id }) => id !== wait.id),
    links: plan.links.filter(({ from, to }) => from !== wait.id && to !== wait.id),
    stays: plan.stays.map((stay) => ({
      ...stay,
      operations: stay.operations.filter((id) => id !== wait.id),
    })),
  }
}

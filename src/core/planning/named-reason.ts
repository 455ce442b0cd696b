import type { PlannedOperation } from '../offer'
import type { ScheduleReason } from '../schedule'
import { calledOn, type Floor } from './floor'

/** A reason of the scheduler with what it takes to tell it to people: whose car it is, and how its steps are called. */
export type NamedReason = {
  reason: ScheduleReason
  plate?: string
  operations: readonly Pick<PlannedOperation, 'id' | 'title'>[]
}

export function namedReasons(floor: Floor, reasons: readonly ScheduleReason[]): NamedReason[] {
  const called = calledOn(floor)
  return reasons.map((reason) => {
    const plan =
      floor.jobs.find(({ job }) => job.id === reason.job)?.live?.plan ??
      floor.holds.find(({ id }) => id === reason.job)?.plan
    const plate = called.get(reason.job)
    return { reason, ...(plate ? { plate } : {}), operations: plan?.operations ?? [] }
  })
}

import type { PlannedOperation } from '../offer'
import type { ScheduleReason } from '../schedule'
import type { Floor } from './floor'

/** A reason of the scheduler with what it takes to tell it to people: whose car it is, and how its steps are called. */
export type NamedReason = {
  reason: ScheduleReason
  plate?: string
  operations: readonly Pick<PlannedOperation, 'id' | 'title'>[]
}

export function namedReasons(floor: Floor, reasons: readonly ScheduleReason[]): NamedReason[] {
  return reasons.map((reason) => {
    const entry = floor.jobs.find(({ job }) => job.id === reason.job)
    return {
      reason,
      ...(entry ? { plate: entry.job.vehicle.plate } : {}),
      operations: entry?.live?.plan.operations ?? [],
    }
  })
}

import type { OperationId } from '../ids'
import type { PlannedOperation } from '../offer/job-plan'
import type { ProblemOperation } from '../schedule'

/** An operation of a plan as the scheduler takes it. */
export const toSchedule = ({ id, minutes, mode, people, skill }: PlannedOperation): ProblemOperation => ({
  id,
  minutes,
  mode,
  people,
  ...(skill ? { skill } : {}),
})

/** Minutes that pass by themselves. */
export const unattended = (id: OperationId, minutes: number): ProblemOperation => ({
  id,
  minutes: Math.max(1, Math.round(minutes)),
  mode: 'unattended',
  people: 0,
})

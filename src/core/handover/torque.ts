import type { CardState } from '../card'
import type { PlannedOperation } from '../offer'

/** Whether wheels were off in this job and nobody has ticked that their nuts are at the manufacturer’s torque. */
export function isTorqueOpen(
  operations: readonly Pick<PlannedOperation, 'extra'>[],
  { work }: Pick<CardState, 'work'>,
): boolean {
  return (
    operations.some(({ extra }) => extra === 'wheels-off') &&
    !Object.values(work).some(({ checks }) => checks.torque)
  )
}

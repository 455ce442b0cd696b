import type { CardState } from '../card'
import type { PlannedOperation } from '../offer'

/** Whether wheels were off in this job and nobody has ticked that their nuts are at the manufacturer’s torque. */
export function isTorqueOpen(
  operations: readonly Pick<PlannedOperation, 'extra'>[],
  { work }: Pick<CardState, 'work'>,
): boolean {
  return (
    operations.some(({ extra }) => extra === 'wheels-off') &&
    // Cards from before it was written down were ticked.
    !Object.values(work).some(({ checks, torque }) => torque || checks.torque)
  )
}

import { methodIn, removalUm, SEEDED_METHODS, type Worked, worked } from '../correction'
import type { Progress } from '../job'
import { type JobPlan, machineRoles } from '../offer'
import { isRework } from './rework'

/** What polishing a coat off a panel takes of its paint beside the coat: as much as one step of polish (mem). */
const TO_BARE = worked(methodIn(SEEDED_METHODS, 'one-step-polish')!)

/**
 * µm that reworks have taken from each panel, by the table: the step of its method that was done again, or a polish down to bare paint. `give`
 * is how much this paint loses against medium paint. Of several on one panel all count.
 */
export function reworkUm(
  { operations }: Pick<JobPlan, 'operations'>,
  progress: Readonly<Record<string, Progress>>,
  work: Readonly<Record<string, Worked>>,
  give: number,
): Record<string, number> {
  const taken: Record<string, number> = {}
  for (const operation of operations) {
    const roles = machineRoles(operation)
    const isDone = isRework(operation.id) && progress[operation.id]?.kind === 'done'
    if (!isDone || roles.length === 0) continue
    for (const panel of operation.panels ?? []) {
      const own = (work[panel]?.steps ?? []).filter(({ role }) => roles.includes(role))
      const um = removalUm(own.length > 0 ? { steps: own } : TO_BARE, give)
      taken[panel] = (taken[panel] ?? 0) + um
    }
  }
  return taken
}

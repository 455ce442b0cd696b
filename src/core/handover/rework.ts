import { type OperationId, toOperationId } from '../ids'
import type { JobPlan, PlannedOperation, StepName } from '../offer'

/** How long a single place takes to be done again, minutes (mem). */
export const REWORK_MINUTES = 30

/** Steps a fault can be sent back to: whatever somebody did that can be done again on one panel. */
export function stepsToSendTo(plan: JobPlan): PlannedOperation[] {
  return plan.operations.filter(
    ({ kind, id }) =>
      ['wash', 'cut', 'refine', 'polish', 'layer', 'surface', 'wipe'].includes(kind) && !isRework(id),
  )
}

const firstName = (name: StepName) => (typeof name === 'object' && name.code === 'again' ? name.of : name)

const PREFIX = 'again-'
export const isRework = (operation: OperationId) => operation.startsWith(PREFIX)

/**
 * The plan with one place, by its id, done again: half an hour by somebody who can do that step, before the last step is over. It
 * stands in the stay of the last step, so the car is not moved for it. Undefined where there is no such step.
 */
export function withRework(plan: JobPlan, step: OperationId, place: string): JobPlan | undefined {
  const source = plan.operations.find(({ id }) => id === step)
  const last = plan.operations.at(-1)
  if (!source?.skill || !last) return undefined
  const count = plan.operations.filter(({ id }) => isRework(id)).length
  const again: PlannedOperation = {
    id: toOperationId(`${PREFIX}${count + 1}`),
    // It is done by hand and eye; what it is done with says the step it comes from.
    kind: source.kind === 'layer' || source.kind === 'surface' ? 'wipe' : source.kind,
    title: { code: 'again', place, of: firstName(source.title) },
    minutes: REWORK_MINUTES,
    mode: 'solid',
    people: 1,
    skill: source.skill,
  }
  const before = plan.operations.slice(0, -1)
  return {
    operations: [...before, again, last],
    links: [
      ...plan.links,
      ...plan.links.filter(({ to }) => to === last.id).map(({ from }) => ({ from, to: again.id, min: 0 })),
      { from: again.id, to: last.id, min: 0 },
    ],
    stays: plan.stays.map((stay) =>
      stay.operations.includes(last.id) ? { ...stay, operations: [...stay.operations, again.id] } : stay,
    ),
  }
}

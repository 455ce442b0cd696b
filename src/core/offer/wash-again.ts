import { type OperationId, toOperationId } from '../ids'
import type { JobPlan, PlannedOperation } from './job-plan'
import { MINUTES } from './minutes'
import { planned } from './operations'
import { WASH_KEEPS_MINUTES } from './wash-keeps'

const PREFIX = 'wash-again-'

/** The plan with a short wash right before a step, in the bay where the car stands; undefined where there is no such step. */
export function withWashAgain(plan: JobPlan, before: OperationId, areaM2: number): JobPlan | undefined {
  const at = plan.operations.findIndex(({ id }) => id === before)
  if (at < 0) return undefined
  const count = plan.operations.filter(({ id }) => id.startsWith(PREFIX)).length
  const wash: PlannedOperation = {
    id: toOperationId(`${PREFIX}${count + 1}`),
    kind: 'wash',
    title: { code: 'rewash' },
    minutes: planned(MINUTES.washAgain(areaM2)),
    mode: 'solid',
    people: 1,
    skill: 'prep',
  }
  return {
    operations: plan.operations.toSpliced(at, 0, wash),
    links: [
      // What led to the step leads to the wash; only a wait that has to be kept goes on to the step.
      ...plan.links.flatMap((link) =>
        link.to === before
          ? [{ from: link.from, to: wash.id, min: 0 }, ...(link.min > 0 ? [{ ...link }] : [])]
          : [link],
      ),
      { from: wash.id, to: before, min: 0, max: WASH_KEEPS_MINUTES },
    ],
    stays: plan.stays.map((stay) => {
      const place = stay.operations.indexOf(before)
      return place < 0 ? stay : { ...stay, operations: stay.operations.toSpliced(place, 0, wash.id) }
    }),
  }
}

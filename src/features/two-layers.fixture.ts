import { toOperationId } from '@/core/ids'
import type { JobPlan, PlannedOperation } from '@/core/offer'

/** Two layers one upon the other and a wait: enough of a plan for what is drawn of one. */

export const [ONE, TWO, DRY] = [toOperationId('one'), toOperationId('two'), toOperationId('dry')]

const layer = (id: PlannedOperation['id'], number: number): PlannedOperation => ({
  id,
  kind: 'layer',
  title: `Layer ${number}`,
  minutes: 180,
  mode: 'solid',
  people: 1,
  skill: 'coat',
  layer: number,
})

export const TWO_LAYERS: JobPlan = {
  operations: [
    layer(ONE, 1),
    layer(TWO, 2),
    { id: DRY, kind: 'hold', title: 'Dry hold', minutes: 720, mode: 'unattended', people: 0 },
  ],
  links: [
    { from: ONE, to: TWO, min: 180, max: 720 },
    { from: TWO, to: DRY, min: 0, max: 0 },
  ],
  stays: [{ id: 'dry', kind: 'studio', operations: [ONE, TWO, DRY] }],
}

import type { Product } from '../coating'
import { methodMinutes, seededMethod, type Worked, worked } from '../correction'
import { type Panel, paintedAreaM2, panelsOf, type Shape } from '../vehicle'
import { inOrder } from './in-order'
import type { JobPlan, PlannedOperation } from './job-plan'
import { MINUTES, TYPICAL_CONTAMINATION } from './minutes'
import { attended, dryHold, planned } from './operations'

/** The two short jobs of the years after: a visit, and a panel that is coated again. */

/** Minutes, remembered. */
const SHORT = {
  /** Water, feel, gloss and film on every panel, and a photograph of what is new. */
  look: (panels: number) => 10 + 2 * panels,
  /** Water once more on a few panels that were decontaminated. */
  test: (panels: number) => 10 + 5 * panels,
  /** Panel wipe of a few panels. */
  wipe: (areaM2: number) => 10 + 3 * areaM2,
  /** A coating on a few panels: bottle, towels and lamp fetched for them alone. */
  layer: (areaM2: number) => 15 + 17 * areaM2,
  lastLook: 15,
}

/** A visit: washed and decontaminated, looked at panel by panel, a topper where there is one. */
export function visitPlan(shape: Shape, topper: Product | undefined): JobPlan {
  const areaM2 = paintedAreaM2(shape)
  const wash = MINUTES.wash(areaM2, TYPICAL_CONTAMINATION)
  return inOrder(
    [
      attended('wash', 'wash', { code: 'wash' }, wash, 'prep'),
      attended('look', 'look', { code: 'look' }, SHORT.look(panelsOf(shape).length), 'prep'),
      ...(topper ? [coat(topper, 1, MINUTES.sprayed(areaM2))] : []),
      attended('finish', 'finish', { code: 'inspect' }, SHORT.lastLook, 'prep'),
    ],
    topper ? [topper] : [],
  )
}

const coat = (product: Product, layer: number, minutes: number, panels?: string[]): PlannedOperation => ({
  ...attended(`layer-${layer}`, 'layer', { code: 'layer', layer, product: product.name }, minutes, 'coat'),
  layer,
  productId: product.id,
  ...(panels ? { panels } : {}),
})

/** A few panels wiped, coated and dried. */
const coatedAgain = (panels: string[], areaM2: number, layers: readonly Product[]): PlannedOperation[] => [
  { ...attended('wipe', 'wipe', { code: 'wipe' }, SHORT.wipe(areaM2), 'coat'), panels },
  ...layers.map((product, at) => coat(product, at + 1, SHORT.layer(areaM2), panels)),
  ...dryHold(layers).map((hold) => ({ ...hold, minutes: planned(hold.minutes) })),
]

/** One panel of a car in the shop, from the polish that bares it to the hold of its last layer. */
export const recoat = (
  { id, areaM2 }: Pick<Panel, 'id' | 'areaM2'>,
  layers: readonly Product[],
  polish: PlannedOperation,
): PlannedOperation[] => [polish, ...coatedAgain([id], areaM2, layers)]

/**
 * Panels coated again: washed and decontaminated, tested once more, polished lightly to bare paint, wiped, applied, dried. Throws
 * where no panel or no layer is named.
 */
export function repairPlan(
  shape: Shape,
  panelIds: readonly string[],
  layers: readonly Product[],
  preparation: Worked = worked(seededMethod('one-step-polish')),
): JobPlan {
  const panels = panelsOf(shape).filter(({ id }) => panelIds.includes(id))
  if (panels.length === 0 || layers.length === 0) throw new Error('a repair needs a panel and a layer')
  const ids = panels.map(({ id }) => id)
  const areaM2 = panels.reduce((sum, panel) => sum + panel.areaM2, 0)
  const wash = MINUTES.wash(paintedAreaM2(shape), TYPICAL_CONTAMINATION)
  const polish = (panel: Panel) => methodMinutes(preparation, panel, 'usual')
  return inOrder(
    [
      attended('wash', 'wash', { code: 'wash' }, wash, 'prep'),
      { ...attended('test', 'look', { code: 'test-water' }, SHORT.test(panels.length), 'prep'), panels: ids },
      {
        ...attended(
          'polish',
          'polish',
          { code: 'polish-to-bare' },
          panels.map(polish).reduce((a, b) => a + b),
          'correct',
          'pausable',
        ),
        panels: ids,
      },
      ...coatedAgain(ids, areaM2, layers),
      attended('finish', 'finish', { code: 'inspect' }, SHORT.lastLook, 'prep'),
    ],
    layers,
  )
}

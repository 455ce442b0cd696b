import type { Product } from '../coating'
import type { JobLink, JobPlan, PlannedOperation } from './job-plan'

/** How the operations of a job follow one another, and what each asks of the one before it. */

/** A washed car gathers dust: correction begins within a day of the wash, else it is washed again (mem). */
const WASH_KEEPS_MINUTES = 24 * 60
/** Oils gone, the coating follows before dust settles again (mem). */
const WIPE_KEEPS_MINUTES = 120

/** How an operation follows the one before it. */
function linkBetween(
  from: PlannedOperation,
  to: PlannedOperation,
  products: ReadonlyMap<string, Product>,
): JobLink {
  const link = { from: from.id, to: to.id, min: 0 }
  if (from.kind === 'wash' && to.kind !== 'vendor') return { ...link, max: WASH_KEEPS_MINUTES }
  if (from.kind === 'layer' && to.kind === 'layer') {
    const { min, max } = products.get(from.productId!)!.nextLayerMinutes
    return { ...link, min, max }
  }
  if (to.kind === 'hold') return { ...link, max: 0 }
  if (from.id === 'wipe' && to.kind === 'layer') return { ...link, max: WIPE_KEEPS_MINUTES }
  return link
}

/** Operations one after another: all up to the wash in the wash bay, all others in one studio. */
export function inOrder(operations: PlannedOperation[], layers: readonly Product[]): JobPlan {
  const products = new Map(layers.map((product) => [product.id, product]))
  const links = operations.slice(1).map((to, index) => linkBetween(operations[index]!, to, products))
  const ids = operations.map(({ id }) => id)
  const dry = operations.findIndex(({ kind }) => kind === 'wash') + 1
  return {
    operations,
    links,
    stays: [
      { id: 'wet', kind: 'wash', operations: ids.slice(0, dry) },
      { id: 'dry', kind: 'studio', operations: ids.slice(dry) },
    ],
  }
}

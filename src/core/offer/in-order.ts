import type { Product } from '../coating'
import { EXTRA } from './extras'
import type { JobLink, JobPlan, PlannedOperation } from './job-plan'

/** How the operations of a job follow one another, and what each asks of the one before it. */

/** A washed car gathers dust: correction begins within a day of the wash, else it is washed again (mem). */
const WASH_KEEPS_MINUTES = 24 * 60
/** Oils gone, the coating follows before dust settles again (mem). */
const WIPE_KEEPS_MINUTES = 120

/** How an operation follows the one before it. */
export function linkBetween(
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
  if (from.kind === 'wipe' && to.kind === 'layer') return { ...link, max: WIPE_KEEPS_MINUTES }
  return link
}

const AT_THE_MACHINE: readonly PlannedOperation['kind'][] = [
  'cut',
  'refine',
  'polish',
  'wipe',
  'layer',
  'finish',
]

/** What has to dry, and the first work that goes over it. */
function dryingLinks(operations: readonly PlannedOperation[]): JobLink[] {
  return operations.flatMap((from, at) => {
    const min = from.extra && EXTRA[from.extra].dryMinutes
    const over = operations.slice(at + 1).find(({ kind }) => AT_THE_MACHINE.includes(kind))
    return min && over ? [{ from: from.id, to: over.id, min }] : []
  })
}

/** The same link twice is the stricter one. */
function tightened(links: readonly JobLink[]): JobLink[] {
  const kept: JobLink[] = []
  for (const link of links) {
    const at = kept.findIndex(({ from, to }) => from === link.from && to === link.to)
    if (at < 0) kept.push(link)
    else kept[at] = { ...kept[at]!, min: Math.max(kept[at]!.min, link.min) }
  }
  return kept
}

/** Operations one after another: all up to the wash in the wash bay, all others in one studio. */
export function inOrder(operations: PlannedOperation[], layers: readonly Product[]): JobPlan {
  const products = new Map(layers.map((product) => [product.id, product]))
  const links = operations.slice(1).map((to, index) => linkBetween(operations[index]!, to, products))
  const ids = operations.map(({ id }) => id)
  const dry = operations.findIndex(({ kind }) => kind === 'wash') + 1
  return {
    operations,
    links: tightened([...links, ...dryingLinks(operations)]),
    stays: [
      { id: 'wet', kind: 'wash', operations: ids.slice(0, dry) },
      { id: 'dry', kind: 'studio', operations: ids.slice(dry) },
    ],
  }
}

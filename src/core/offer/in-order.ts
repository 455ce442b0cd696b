import type { Product } from '../coating'
import { EXTRA } from './extras'
import type { JobLink, JobPlan, PlannedOperation } from './job-plan'
import type { Trade } from './vendor'
import { WASH_KEEPS_MINUTES } from './wash-keeps'

/** How the operations of a job follow one another, and what each asks of the one before it. */

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

/** Film sets for a day before a coating goes over it (common practice). */
const FILM_SETS_MINUTES = 24 * 60

function driesFor(operation: PlannedOperation): number | undefined {
  if (operation.extra) return EXTRA[operation.extra].dryMinutes
  return isTrade(operation, 'film') ? FILM_SETS_MINUTES : undefined
}

/** What has to dry, and the first work that goes over it. */
function dryingLinks(operations: readonly PlannedOperation[]): JobLink[] {
  return operations.flatMap((from, at) => {
    const min = driesFor(from)
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

const isRinseless = ({ title }: PlannedOperation) =>
  typeof title === 'object' && title.code === 'rinseless-wash'

/**
 * Where the car stands: under a roof while others work on it before the wash; in the wash bay while it is wet; then in one studio to the
 * end. What is washed without a hose is washed in the studio.
 */
function staysOf(operations: readonly PlannedOperation[]): JobPlan['stays'] {
  const wash = operations.findIndex(({ kind }) => kind === 'wash')
  const first = operations.findIndex(({ kind }) => kind !== 'vendor')
  const dry = wash < 0 ? first : isRinseless(operations[wash]!) ? wash : wash + 1
  const ids = operations.map(({ id }) => id)
  return [
    { id: 'first', kind: 'indoor', operations: ids.slice(0, first) },
    { id: 'wet', kind: 'wash', operations: ids.slice(first, dry) },
    { id: 'dry', kind: 'studio', operations: ids.slice(dry) },
  ].filter((stay) => stay.operations.length > 0)
}

const isTrade = ({ title }: PlannedOperation, trade: Trade) =>
  typeof title === 'object' && title.code === 'vendor' && title.trade === trade

/**
 * What others do while the work goes on, with the step it follows and the one it must be done before: wheels are refinished off the car, and
 * are back before anything is coated near their dust.
 */
function besideOf(operations: readonly PlannedOperation[]): Map<PlannedOperation, JobLink[]> {
  const off = operations.find(({ extra }) => extra === 'wheels-off')
  const coated = operations.find(({ id, kind }) => kind === 'surface' || kind === 'layer' || id === 'wipe')
  const before = coated ?? operations.at(-1)
  const wheels = operations.filter((operation) => isTrade(operation, 'wheels'))
  if (!off || !before) return new Map()
  return new Map(
    wheels.map((operation) => [
      operation,
      [
        { from: off.id, to: operation.id, min: 0 },
        { from: operation.id, to: before.id, min: 0 },
      ],
    ]),
  )
}

/** Operations one after another, each with what it asks of the one before it; what runs beside them is tied to two of them only. */
export function inOrder(operations: PlannedOperation[], layers: readonly Product[]): JobPlan {
  const products = new Map(layers.map((product) => [product.id, product]))
  const beside = besideOf(operations)
  const chain = operations.filter((operation) => !beside.has(operation))
  const links = chain.slice(1).map((to, index) => linkBetween(chain[index]!, to, products))
  return {
    operations,
    links: tightened([...links, ...[...beside.values()].flat(), ...dryingLinks(operations)]),
    stays: staysOf(operations),
  }
}

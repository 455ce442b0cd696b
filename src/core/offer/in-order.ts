import type { Product } from '../coating'
import { EXTRA } from './extras'
import type { JobLink, JobPlan, PlannedOperation } from './job-plan'
import { besideThePaint, opensCoat } from './side-by-side'
import type { Trade } from './vendor'
import { WASH_KEEPS_MINUTES } from './wash-keeps'
import { isWheelsOn } from './wheels-on'

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

/** Kind of a stay at somebody else's place: it holds no bay. */
export const OFFSITE = 'offsite'

const STAY_IDS = { indoor: 'first', wash: 'wet', studio: 'dry', [OFFSITE]: 'away' } as const

/** A piece that is away is a stay of its own: the car it came from stands where it is. */
export const pieceStay = ({ id }: PlannedOperation): JobPlan['stays'][number] => ({
  id: `piece-${id}`,
  kind: OFFSITE,
  operations: [id],
})

/**
 * Where the car stands: under a roof while others work on it before the wash; in the wash bay while it is wet; then in one studio to the
 * end; at somebody else's place while they have it. What is washed without a hose is washed in the studio.
 */
function staysOf(operations: readonly PlannedOperation[]): JobPlan['stays'] {
  const ofCar = operations.filter(({ away }) => away !== 'piece')
  const wash = ofCar.findIndex(({ kind }) => kind === 'wash')
  const first = ofCar.findIndex(({ kind }) => kind !== 'vendor')
  const dry = wash < 0 ? first : isRinseless(ofCar[wash]!) ? wash : wash + 1
  const stays: (JobPlan['stays'][number] & { kind: keyof typeof STAY_IDS })[] = []
  for (const [at, { id, away }] of ofCar.entries()) {
    const kind = away ? OFFSITE : at < first ? 'indoor' : at < dry ? 'wash' : 'studio'
    const last = stays.at(-1)
    if (last?.kind === kind) last.operations.push(id)
    else {
      const before = stays.filter((stay) => stay.kind === kind).length
      stays.push({
        id: before === 0 ? STAY_IDS[kind] : `${STAY_IDS[kind]}-${before + 1}`,
        kind,
        operations: [id],
      })
    }
  }
  return [...stays, ...operations.filter(({ away }) => away === 'piece').map(pieceStay)]
}

const isTrade = ({ title }: PlannedOperation, trade: Trade) =>
  typeof title === 'object' && title.code === 'vendor' && title.trade === trade

/** The step after which a piece is off the car, and the one that needs it again. */
function offAndOn(operations: readonly PlannedOperation[], operation: PlannedOperation) {
  const last = operations.at(-1)
  if (isTrade(operation, 'wheels')) {
    const off = operations.find(({ extra }) => extra === 'wheels-off')
    const coated = operations.find(opensCoat)
    const needed = operations.find((each) => each.surface === 'wheels' || isWheelsOn(each))
    // Worked on here, they are done before anything is coated near their dust.
    return { off, on: (operation.away ? needed : coated) ?? last }
  }
  // Whatever else comes off does so while the car is masked, and is refitted at the end.
  return { off: operations.find(({ kind }) => kind === 'mask'), on: last }
}

/** What others do while the work goes on, with the step it follows and the one it must be done before: a piece that was taken off the car. */
function besideOf(operations: readonly PlannedOperation[]): Map<PlannedOperation, JobLink[]> {
  const pieces = operations.filter(
    (operation) => operation.away === 'piece' || (!operation.away && isTrade(operation, 'wheels')),
  )
  return new Map(
    pieces.flatMap((operation): [PlannedOperation, JobLink[]][] => {
      const { off, on } = offAndOn(operations, operation)
      return off && on
        ? [
            [
              operation,
              [
                { from: off.id, to: operation.id, min: 0 },
                { from: operation.id, to: on.id, min: 0 },
              ],
            ],
          ]
        : []
    }),
  )
}

/** Operations one after another, each with what it asks of the one before it; what runs beside them is tied to two of them only. */
export function inOrder(operations: PlannedOperation[], layers: readonly Product[]): JobPlan {
  const products = new Map(layers.map((product) => [product.id, product]))
  const beside = new Map([...besideThePaint(operations), ...besideOf(operations)])
  const chain = operations.filter((operation) => !beside.has(operation))
  const links = chain.slice(1).map((to, index) => linkBetween(chain[index]!, to, products))
  return {
    operations,
    links: tightened([...links, ...[...beside.values()].flat(), ...dryingLinks(operations)]),
    stays: staysOf(operations),
  }
}

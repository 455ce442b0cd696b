import type { BottleId, OperationId, PersonId, ProductId } from '../ids'
import type { BottleState } from '../stock'
import { type Instant, minutesBetween } from '../time'
import type { CoatLog, Entry } from './act'
import type { Conflict, Doubt } from './conflict'

/** What an act says of people, panels and bottles, held against what there is. */

export type KnownBottle = { productId: ProductId; leftMl: number; state: BottleState }

/** Limits of a product's air: °C, %. */
export type AirLimits = { airC: { min: number; max: number }; rhPercent: { min: number; max: number } }

export type Facts = {
  people: ReadonlySet<PersonId>
  panels: ReadonlySet<string>
  bottles: ReadonlyMap<BottleId, KnownBottle>
  products: ReadonlyMap<ProductId, AirLimits>
  /** The product each coat was planned with. */
  planned: (operation: OperationId) => ProductId | undefined
  /** Whether the step coats paint. */
  isPaint: (operation: OperationId) => boolean
  /** Panels that wait for the customer’s word on what was changed there. */
  waits: ReadonlySet<string>
}

/** A gauge on a bottle is an eye: so much more than is left is believed, ml (mem). */
const POUR_TOLERANCE_ML = 2

/** What speaks against a coat as it is logged. Empty where nothing does; `despite` answers all of it. */
export function coatDoubts(
  coat: Pick<CoatLog, 'productId' | 'poured' | 'climate'>,
  { bottles, products, planned }: Pick<Facts, 'bottles' | 'products'> & { planned: ProductId | undefined },
): Doubt[] {
  const doubts = new Set<Doubt>()
  if (planned !== undefined && planned !== coat.productId) doubts.add('other-product')
  for (const { bottle, ml } of coat.poured) {
    const known = bottles.get(bottle)
    if (!known) continue
    if (ml > known.leftMl + POUR_TOLERANCE_ML) doubts.add('bottle-short')
    if (known.state === 'past' || known.state === 'gone') doubts.add('bottle-past')
  }
  const limits = products.get(coat.productId)
  const { airC, rhPercent } = coat.climate
  const within = (value: number, { min, max }: { min: number; max: number }) => value >= min && value <= max
  if (limits && !(within(airC, limits.airC) && within(rhPercent, limits.rhPercent))) doubts.add('air-outside')
  return [...doubts]
}

/** What an entry names that there is not, or that speaks against it; undefined where nothing does. */
export function factConflict(entry: Entry, facts: Facts): Conflict | undefined {
  if (!facts.people.has(entry.by)) return { code: 'unknown', what: 'person' }
  if ('panel' in entry && !facts.panels.has(entry.panel)) return { code: 'unknown', what: 'panel' }
  if (entry.kind === 'section' && entry.count > 0 && facts.waits.has(entry.panel))
    return { code: 'panel-waits', panel: entry.panel }
  if (entry.kind === 'high-spot-gone') return pourConflict(entry.poured, facts)
  if ((entry.kind !== 'done' && entry.kind !== 'record') || !entry.coat) return undefined
  const { coat } = entry
  if (!facts.products.has(coat.productId)) return { code: 'unknown', what: 'product' }
  const odd = bottlesOf(coat.poured, facts)
  if (odd) return odd
  if (coat.poured.some(({ bottle }) => facts.bottles.get(bottle)!.productId !== coat.productId))
    return { code: 'other-bottle' }
  const isPast = coat.poured.some(({ bottle }) => facts.bottles.get(bottle)!.state === 'past')
  if (isPast && facts.isPaint(entry.operation)) return { code: 'past-on-paint' }
  const doubts = coatDoubts(coat, { ...facts, planned: facts.planned(entry.operation) })
  return doubts.length > 0 && !coat.despite ? { code: 'needs-reason', doubts } : undefined
}

function bottlesOf(poured: CoatLog['poured'], { bottles }: Facts): Conflict | undefined {
  return poured.some(({ bottle }) => !bottles.has(bottle)) ? { code: 'unknown', what: 'bottle' } : undefined
}

/** A drop for a smear cannot come from a bottle that holds none. */
function pourConflict(poured: CoatLog['poured'], facts: Facts): Conflict | undefined {
  const odd = bottlesOf(poured, facts)
  if (odd) return odd
  const short = poured.some(({ bottle, ml }) => ml > facts.bottles.get(bottle)!.leftMl + POUR_TOLERANCE_ML)
  return short ? { code: 'needs-reason', doubts: ['bottle-short'] } : undefined
}

/** Longer ago nobody remembers when a thing was, minutes: a month. */
const OLDEST_MINUTES = 31 * 1440
/** A car may be brought earlier than it was written down, minutes: a day. */
const EARLIER_MINUTES = 1440

/**
 * Whether an act can have been at its time: a tablet with a dead clock says 1970. What is of today is believed though the car is
 * booked for later: its owner may have left it here.
 */
export function timeConflict(at: Instant, now: Instant, arrive: Instant): Conflict | undefined {
  const old = minutesBetween(at, now) > OLDEST_MINUTES
  const early = minutesBetween(at, arrive) > EARLIER_MINUTES && minutesBetween(at, now) > EARLIER_MINUTES
  return old || early ? { code: 'odd-time', at } : undefined
}

import type { BottleInShop, Product } from '../coating'
import type { BottleId, ProductId } from '../ids'
import { daysBetween, type LocalDay, plusMonths } from '../time'

/** One bottle on the shelf. Millilitres; days are local. */
export type Bottle = {
  id: BottleId
  productId: ProductId
  lot: string
  fullMl: number
  leftMl: number
  arrivedOn: LocalDay
  openedOn?: LocalDay
  /** Thrown away, or used up on wheels and trim. */
  goneOn?: LocalDay
}

export type BottleState = 'closed' | 'open' | 'past' | 'empty' | 'gone'

/** Less than this cannot be got out of a bottle any more, ml (mem). */
const DREGS_ML = 1

/** The last day on which a bottle is good: by its age, and once opened by that as well. */
export function goodUntil(
  { arrivedOn, openedOn }: Pick<Bottle, 'arrivedOn' | 'openedOn'>,
  { shelfLifeMonths }: Pick<Product, 'shelfLifeMonths'>,
): LocalDay {
  const closed = plusMonths(arrivedOn, shelfLifeMonths.closed)
  if (!openedOn) return closed
  const open = plusMonths(openedOn, shelfLifeMonths.open)
  return open < closed ? open : closed
}

export function bottleState(
  bottle: Bottle,
  product: Pick<Product, 'shelfLifeMonths'>,
  today: LocalDay,
): BottleState {
  if (bottle.goneOn) return 'gone'
  if (bottle.leftMl < DREGS_ML) return 'empty'
  if (goodUntil(bottle, product) < today) return 'past'
  return bottle.openedOn ? 'open' : 'closed'
}

export const isUsable = (state: BottleState) => state === 'open' || state === 'closed'

/** Bottles of a product that may be used, those to be used up first in front: open ones, then those that go off sooner. */
export function usableBottles(bottles: readonly Bottle[], product: Product, today: LocalDay): Bottle[] {
  return bottles
    .filter((bottle) => bottle.productId === product.id && isUsable(bottleState(bottle, product, today)))
    .toSorted(
      (a, b) =>
        Number(b.openedOn !== undefined) - Number(a.openedOn !== undefined) ||
        goodUntil(a, product).localeCompare(goodUntil(b, product)),
    )
}

/** From which bottles `ml` would be poured, and what is missing. */
export function pourPlan(
  bottles: readonly Bottle[],
  product: Product,
  ml: number,
  today: LocalDay,
): { poured: { bottle: BottleId; ml: number }[]; shortMl: number } {
  let still = ml
  const poured: { bottle: BottleId; ml: number }[] = []
  for (const { id, leftMl } of usableBottles(bottles, product, today)) {
    if (still <= 0) break
    const taken = Math.min(leftMl, still)
    poured.push({ bottle: id, ml: taken })
    still -= taken
  }
  return { poured, shortMl: Math.max(0, still) }
}

/** A day’s share of a month, for ages that rules give in months. */
const DAYS_PER_MONTH = 365.25 / 12

/** A shelf as the rules of a coating plan look at it. Ages in months, of bottles that still hold something. */
export function shelfForRules(bottles: readonly Bottle[], today: LocalDay): BottleInShop[] {
  const months = (since: LocalDay) => daysBetween(since, today) / DAYS_PER_MONTH
  return bottles
    .filter(({ goneOn, leftMl }) => !goneOn && leftMl >= DREGS_ML)
    .map(({ productId, leftMl, arrivedOn, openedOn }) => ({
      productId,
      millilitres: leftMl,
      closedMonths: months(arrivedOn),
      ...(openedOn ? { openMonths: months(openedOn) } : {}),
    }))
}

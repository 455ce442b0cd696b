import type { Product } from '../coating'
import type { ProductId } from '../ids'
import type { StepName } from '../offer'
import type { Instant, LocalDay } from '../time'
import { type Bottle, usableBottles } from './bottle'

/** A coat that is still to be applied. */
export type CoatToCome = { productId: ProductId; ml: number; at: Instant; plate: string; title: StepName }

export type ProductNeed = {
  product: Product
  /** ml that may be used today. */
  onShelfMl: number
  neededMl: number
  coats: CoatToCome[]
  /** The first coat the shelf does not reach to. */
  runsOutAt?: CoatToCome
  reorderMl: number
  /** Below what the shop wants to have when the coats to come are applied. */
  reorder: boolean
}

/** What the coats to come ask of the shelf, product by product; in the order of the catalogue. */
export function needsOf(
  catalogue: readonly Product[],
  bottles: readonly Bottle[],
  coats: readonly CoatToCome[],
  reorderMl: Readonly<Record<string, number>>,
  today: LocalDay,
): ProductNeed[] {
  return catalogue.map((product) => {
    const own = coats
      .filter(({ productId }) => productId === product.id)
      .toSorted((a, b) => (a.at < b.at ? -1 : 1))
    const onShelfMl = usableBottles(bottles, product, today).reduce((sum, { leftMl }) => sum + leftMl, 0)
    let left = onShelfMl
    const runsOutAt = own.find(({ ml }) => {
      left -= ml
      return left < 0
    })
    const neededMl = own.reduce((sum, { ml }) => sum + ml, 0)
    const point = reorderMl[product.id] ?? 0
    return {
      product,
      onShelfMl,
      neededMl,
      coats: own,
      ...(runsOutAt ? { runsOutAt } : {}),
      reorderMl: point,
      reorder: onShelfMl - neededMl < point,
    }
  })
}

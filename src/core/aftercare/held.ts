import type { Surface } from '../coating'
import type { ProductId } from '../ids'
import type { PaintSystem, Storage } from '../vehicle'
import type { PooledLife } from './pooled-life'

/** What a coating came to, of all cars and of those that live or are painted alike. */
export type Held = {
  /** The products that lie there, the first layer first. */
  products: { id: ProductId; name: string }[]
  surface: Surface
  /** As the sheets said when it was applied, months. */
  sheetMonths: number
  /** As they say now, where that is something else. */
  nowMonths?: number
  pooled: PooledLife
  /** What the sheet of the longest-lived product should say, where the cars leave no doubt. */
  proposed?: { productId: ProductId; months: number }
  byUse: { storage: Storage; pooled: PooledLife }[]
  byPaint: { paint: PaintSystem; pooled: PooledLife }[]
}

/** What was learned of the coating that these layers are. */
export const heldOf = (
  held: readonly Held[],
  surface: Surface,
  layers: readonly { id: ProductId }[],
): Held | undefined =>
  layers.length === 0
    ? undefined
    : held.find(
        (each) =>
          each.surface === surface &&
          each.products.length === layers.length &&
          each.products.every(({ id }, at) => id === layers[at]!.id),
      )

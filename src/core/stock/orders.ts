import { SUPPLY_KINDS } from '../supply'
import type { Instant, LocalDay } from '../time'
import type { StoreKey } from './stores'

/** What is on its way: a coating by the bottle, a liquid, or tape. */

/** What is ordered, as it is kept: `product:` and the product’s id, or `store:` and its key. */
export type OrderOf = `product:${string}` | `store:${StoreKey}`

export type StockOrder = {
  id: number
  of: OrderOf
  orderedAt: Instant
  /** The day it should be here, where somebody has said one. */
  due?: LocalDay
}

/** Whether something may be ordered under this name. */
export function isOrderOf(text: string, products: ReadonlySet<string>): text is OrderOf {
  const at = text.indexOf(':')
  const [kind, key] = [text.slice(0, at), text.slice(at + 1)]
  if (kind === 'product') return products.has(key)
  return kind === 'store' && (key === 'tape' || SUPPLY_KINDS.some((each) => each === key))
}

/** It should be here by now. */
export const isOrderLate = ({ due }: StockOrder, today: LocalDay): boolean => due !== undefined && due < today

import type { LocalDay } from '../time'
import type { Bottle, BottleState } from './bottle'
import type { ProductNeed } from './needs'
import type { StockOrder } from './orders'
import type { Need, PadSize, Store, StoreKey } from './stores'
import type { Supply } from './supply'

/** A bottle with the number on its label. */
export type ShelfBottle = Bottle & { code: number }

export type BottleOnShelf = ShelfBottle & { state: BottleState; goodUntil: LocalDay }

export type Shelf = {
  needs: (ProductNeed & { bottles: BottleOnShelf[]; ordered?: StockOrder })[]
  supplies: Supply[]
  /** Liquids and tape: all that is counted or needed. */
  stores: (Need<StoreKey> & Pick<Store, 'orderBelow' | 'cents'> & { ordered?: StockOrder })[]
  /** Pads of the kinds and widths that are needed. */
  pads: Need<PadSize>[]
  /** Clean towels that the days to come take. */
  towels: number
  until: LocalDay
}

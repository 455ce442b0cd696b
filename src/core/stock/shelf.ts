import type { LocalDay } from '../time'
import type { Bottle, BottleState } from './bottle'
import type { ProductNeed } from './needs'
import type { Supply } from './supply'

/** A bottle with the number on its label. */
export type ShelfBottle = Bottle & { code: number }

export type BottleOnShelf = ShelfBottle & { state: BottleState; goodUntil: LocalDay }

export type Shelf = {
  needs: (ProductNeed & { bottles: BottleOnShelf[] })[]
  supplies: Supply[]
  until: LocalDay
}

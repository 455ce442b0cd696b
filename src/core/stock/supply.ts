import type { PadSize } from './stores'

/** Pads and towels: how many there are, and how often they were washed. */

export const SUPPLY_KINDS = ['pad', 'towel'] as const
export type SupplyKind = (typeof SUPPLY_KINDS)[number]

export type Supply = {
  id: string
  kind: SupplyKind
  name: string
  clean: number
  dirty: number
  /** Times the whole set went through the wash. */
  washes: number
  /** Washes after which it is retired to wheels and shuts. */
  washesMost: number
  reorderAt: number
  /** What one of them costs, cents; nothing where the shop has not said. */
  cents?: number
  /** Of pads: their kind and width, where somebody has said so. */
  of?: PadSize
}

/** How many washes pads and towels stand (mem). */
export const WASHES_MOST: Record<SupplyKind, number> = { pad: 15, towel: 60 }

export type SupplyState = 'good' | 'wash-some' | 'worn' | 'too-few'

/** What a set asks for first: to be replaced, to be bought, to be washed. */
export function supplyState(supply: Supply): SupplyState {
  const { clean, dirty, washes, washesMost, reorderAt } = supply
  if (washes >= washesMost) return 'worn'
  if (clean + dirty < reorderAt) return 'too-few'
  return clean < reorderAt ? 'wash-some' : 'good'
}

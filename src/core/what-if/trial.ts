import type { Instant } from '../time'
import type { Busier } from './demand'
import type { ShopChange } from './shop-change'
import type { Bought } from './what-if'

/** A change that was tried, as it is kept. */
export type ShopTrial = {
  id: string
  change: ShopChange
  /** What of the shop it is about, as that was called when it was tried: a person, a bay, a package. */
  about: string
  busier: Busier
  /** What the change costs a week, by the shop’s figures or as the manager typed it, cents. */
  weeklyCents: number
  bought: Bought
  triedAt: Instant
}

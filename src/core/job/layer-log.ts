import type { BayClimate } from '../climate'
import type { Instant } from '../time'

export type LayerLog = {
  operationId: string
  productId: string
  lot: string
  climate: BayClimate
  startedAt: Instant
  endedAt: Instant
  by: string
}

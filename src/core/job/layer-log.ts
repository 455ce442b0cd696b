import type { BayClimate } from '../climate'
import type { OperationId, PersonId, ProductId } from '../ids'
import type { Instant } from '../time'

export type LayerLog = {
  operationId: OperationId
  productId: ProductId
  lot: string
  climate: BayClimate
  startedAt: Instant
  endedAt: Instant
  by: PersonId
}

import { careMilestones, type Milestone } from '../aftercare'
import { sheetThen } from '../coating'
import type { ProductId } from '../ids'
import type { Shop } from '../shop'
import type { LayerLog } from './layer-log'

export type Care = { layers: LayerLog[]; milestones: Milestone[] }

export function careOf(shop: Shop, layers: LayerLog[]): Care {
  const applied = layers.flatMap(({ productId, endedAt }) => {
    const product = sheetThen(shop, productId, endedAt)
    return product ? [{ product, ended: endedAt }] : []
  })
  return { layers, milestones: applied.length > 0 ? careMilestones(applied, shop.setup.region.timezone) : [] }
}

/** What a customer calls a product; its id where the catalogue no longer has it. */
export function productName(shop: Shop, productId: ProductId): string {
  return shop.catalogue.find(({ id }) => id === productId)?.name ?? productId
}

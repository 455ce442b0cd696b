import { careMilestones, type Milestone, wheelCheck } from '../aftercare'
import { sheetThen } from '../coating'
import type { ProductId } from '../ids'
import type { Shop } from '../shop'
import type { Instant } from '../time'
import type { LayerLog } from './layer-log'

export type Care = { layers: LayerLog[]; milestones: Milestone[] }

/** What the owner is to keep to after the work: from its layers, and from when it drives on wheels that were off. */
export function careOf(shop: Shop, layers: LayerLog[], drives?: Instant): Care {
  const zone = shop.setup.region.timezone
  const applied = layers.flatMap(({ productId, endedAt }) => {
    const product = sheetThen(shop, productId, endedAt)
    return product ? [{ product, ended: endedAt }] : []
  })
  return {
    layers,
    milestones: [
      ...(drives ? [wheelCheck(drives, zone)] : []),
      ...(applied.length > 0 ? careMilestones(applied, zone) : []),
    ],
  }
}

/** What a customer calls a product; its id where the catalogue no longer has it. */
export function productName(shop: Shop, productId: ProductId): string {
  return shop.catalogue.find(({ id }) => id === productId)?.name ?? productId
}

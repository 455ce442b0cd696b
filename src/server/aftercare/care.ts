import type { Knex } from 'knex'
import { careMilestones, type Milestone } from '@/core/aftercare'
import type { Shop } from '@/core/shop'
import { type LayerLog, loadLayers, loadLayersOf } from '../work/work-store'

export type Care = { layers: LayerLog[]; milestones: Milestone[] }

/** The cure calendar of a job from the layers that were really laid; empty until there is one. */
export async function loadCare(db: Knex, shop: Shop, jobId: string): Promise<Care> {
  return careOf(shop, await loadLayers(db, jobId))
}

/** The cure calendars of these jobs; nothing for a job without layers. */
export async function loadCares(db: Knex, shop: Shop, jobIds: readonly string[]): Promise<Map<string, Care>> {
  const layers = await loadLayersOf(db, jobIds)
  return new Map([...layers].map(([jobId, own]) => [jobId, careOf(shop, own)]))
}

function careOf(shop: Shop, layers: LayerLog[]): Care {
  const laid = layers.flatMap(({ productId, endedAt }) => {
    const product = shop.catalogue.find(({ id }) => id === productId)
    return product ? [{ product, ended: endedAt }] : []
  })
  return { layers, milestones: laid.length > 0 ? careMilestones(laid, shop.setup.timezone) : [] }
}

/** What a customer calls a product; its id where the catalogue no longer has it. */
export function productName(shop: Shop, productId: string): string {
  return shop.catalogue.find(({ id }) => id === productId)?.name ?? productId
}

import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type Care, careOf } from '@/core/job'
import type { Shop } from '@/core/shop'
import { lastActAtCar } from '../work/acts-store'
import { loadLayers, loadLayersOf } from '../work/work-store'

/** The cure calendar of a job from the layers that were really applied; empty until there is one. */
export async function loadCare(db: Knex, shop: Shop, jobId: JobId): Promise<Care> {
  return careOf(shop, await loadLayers(db, jobId), await lastActAtCar(db, jobId, 'torque'))
}

/** The cure calendars of these jobs; nothing for a job without layers. */
export async function loadCares(db: Knex, shop: Shop, jobIds: readonly JobId[]): Promise<Map<JobId, Care>> {
  const layers = await loadLayersOf(db, jobIds)
  return new Map([...layers].map(([jobId, own]) => [jobId, careOf(shop, own)]))
}

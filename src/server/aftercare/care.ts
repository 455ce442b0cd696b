import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type Care, careOf } from '@/core/job'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { findJob } from '../floor/job-store'
import { lastActAtCar } from '../work/acts-store'
import { loadLayers, loadLayersOf } from '../work/work-store'

/**
 * The cure calendar of a job from the layers that were really applied; empty until there is one. Wheels that were off are driven on once
 * the car is handed over: while it is here, that is today at the soonest.
 */
export async function loadCare(db: Knex, shop: Shop, jobId: JobId, now: Instant): Promise<Care> {
  const wereOff = (await lastActAtCar(db, jobId, 'torque')) !== undefined
  const job = wereOff ? await findJob(db, jobId) : undefined
  return careOf(shop, await loadLayers(db, jobId), job && (job.handedOverAt ?? now))
}

/** The cure calendars of these jobs; nothing for a job without layers. */
export async function loadCares(db: Knex, shop: Shop, jobIds: readonly JobId[]): Promise<Map<JobId, Care>> {
  const layers = await loadLayersOf(db, jobIds)
  return new Map([...layers].map(([jobId, own]) => [jobId, careOf(shop, own)]))
}

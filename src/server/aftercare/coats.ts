import type { Knex } from 'knex'
import type { Coat, CoatedPart } from '@/core/aftercare'
import { sheetThen } from '@/core/coating'
import { reworkOf } from '@/core/handover'
import type { VehicleId } from '@/core/ids'
import type { Shop } from '@/core/shop'
import { readPlan } from '../quotes/agreement-store'

/** Every coat ever applied here on a vehicle, the oldest first. A product the catalogue no longer has is left out. */
export async function loadCoats(db: Knex, shop: Shop, vehicleId: VehicleId): Promise<Coat[]> {
  const rows = await db('layers')
    .join('progress', (on) =>
      on.on('progress.job_id', 'layers.job_id').andOn('progress.operation_id', 'layers.operation_id'),
    )
    .join('jobs', 'jobs.id', 'layers.job_id')
    .join('agreements', 'agreements.job_id', 'layers.job_id')
    .where('jobs.vehicle_id', vehicleId)
    .whereNotNull('progress.ended_at')
    .orderBy('progress.ended_at')
    .select('layers.*', 'progress.ended_at', 'agreements.plan')
  return rows.flatMap((row): Coat[] => {
    // It lasts as the sheet said by which it was applied.
    const product = sheetThen(shop, row.product_id, row.ended_at)
    const operation = readPlan(row.plan).operations.find(({ id }) => id === row.operation_id)
    if (!product || !operation) return []
    const rework = reworkOf(operation.id)
    const part: CoatedPart = operation.surface
      ? { kind: 'surface', surface: operation.surface }
      : { kind: 'paint', ...(operation.panels ? { panels: operation.panels } : {}) }
    return [
      {
        jobId: row.job_id,
        product,
        lot: row.lot,
        endedAt: row.ended_at,
        part,
        ...(rework === undefined ? {} : { rework }),
      },
    ]
  })
}

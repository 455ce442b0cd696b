import type { Knex } from 'knex'
import type { JobId, VehicleId } from '@/core/ids'
import type { LedgerEntry, Removal } from '@/core/survey'
import { type Instant, localDayOrThrow } from '@/core/time'
import type { RemovalsRow } from '../db/tables'

function toEntry(row: RemovalsRow): LedgerEntry {
  return {
    id: row.id,
    ...(row.job_id ? { jobId: row.job_id } : {}),
    panel: row.panel,
    day: localDayOrThrow(row.day),
    removedUm: row.removed_um_x10 / 10,
    uncertaintyUm: row.uncertainty_um_x10 / 10,
    source: row.source,
    note: row.note,
  }
}

/** All that was ever removed from a vehicle, the oldest first. */
export async function loadLedger(db: Knex, vehicleId: VehicleId): Promise<LedgerEntry[]> {
  const rows: RemovalsRow[] = await db('removals').where({ vehicle_id: vehicleId }).orderBy(['day', 'id'])
  return rows.map(toEntry)
}

/** What stood in the ledger before this job wrote into it: what the job's own budget rests on. */
export async function ledgerBefore(db: Knex, vehicleId: VehicleId, jobId: JobId): Promise<LedgerEntry[]> {
  return (await loadLedger(db, vehicleId)).filter((entry) => entry.jobId !== jobId)
}

/** A statement of SQLite takes 32,766 values: of five thousand lines more than it would hold. */
const ROWS_AT_ONCE = 500

/** Adds entries. Nothing in the ledger is ever changed or deleted; a mistake is set right by a further entry. */
export async function appendRemovals(
  db: Knex,
  vehicleId: VehicleId,
  jobId: JobId | undefined,
  removals: readonly Removal[],
  now: Instant,
): Promise<void> {
  if (removals.length === 0) return
  await db.batchInsert(
    'removals',
    removals.map((removal) => ({
      vehicle_id: vehicleId,
      job_id: jobId ?? null,
      panel: removal.panel,
      day: removal.day,
      removed_um_x10: Math.round(removal.removedUm * 10),
      uncertainty_um_x10: Math.round(removal.uncertaintyUm * 10),
      source: removal.source,
      note: removal.note,
      written_at: now,
    })),
    ROWS_AT_ONCE,
  )
}

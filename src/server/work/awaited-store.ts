import type { Knex } from 'knex'
import type { JobId, OperationId } from '@/core/ids'
import type { Awaited } from '@/core/job'
import { instantOrThrow } from '@/core/time'

/** What was ordered for steps and has not come: the plan waits for it. */

export async function listAwaited(
  db: Knex,
  jobIds: readonly JobId[],
): Promise<Map<JobId, Record<string, Awaited>>> {
  const byJob = new Map<JobId, Record<string, Awaited>>()
  for (const row of await db('awaited').whereIn('job_id', [...jobIds])) {
    const { what, supplier } = row
    byJob.set(row.job_id, {
      ...byJob.get(row.job_id),
      [row.operation_id]: { what, supplier, due: instantOrThrow(row.due_at) },
    })
  }
  return byJob
}

export async function waitFor(
  trx: Knex,
  job: JobId,
  operation: OperationId,
  { what, supplier, due }: Awaited,
): Promise<void> {
  await trx('awaited')
    .insert({ job_id: job, operation_id: operation, what, supplier, due_at: due })
    .onConflict(['job_id', 'operation_id'])
    .merge()
}

export async function hasCome(trx: Knex, job: JobId, operation: OperationId): Promise<void> {
  await trx('awaited').where({ job_id: job, operation_id: operation }).delete()
}

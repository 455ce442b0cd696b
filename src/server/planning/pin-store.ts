import type { Knex } from 'knex'
import type { JobId, OperationId } from '@/core/ids'

/** What the manager wants to stay where it is planned: ids of operations, by job. */
export async function listPins(db: Knex): Promise<Map<JobId, string[]>> {
  const pins = new Map<JobId, string[]>()
  for (const { job_id: job, operation_id: operation } of await db('pins').orderBy(['job_id', 'operation_id']))
    pins.set(job, [...(pins.get(job) ?? []), operation])
  return pins
}

export async function pin(db: Knex, job: JobId, operations: readonly OperationId[]): Promise<void> {
  if (operations.length === 0) return
  await db('pins')
    .insert(operations.map((operation) => ({ job_id: job, operation_id: operation })))
    .onConflict(['job_id', 'operation_id'])
    .ignore()
}

export async function unpin(db: Knex, job: JobId, operations: readonly OperationId[]): Promise<void> {
  await db('pins').where({ job_id: job }).whereIn('operation_id', operations).delete()
}

import type { Knex } from 'knex'
import type { BayClimate } from '@/core/climate'
import { type JobId, type OperationId, type PersonId, type ProductId, UNKNOWN_PERSON } from '@/core/ids'
import type { LayerLog, Progress } from '@/core/job'
import { ok, type Result, refused } from '@/core/result'
import type { Instant } from '@/core/time'
import { instantOrThrow } from '@/core/time'
import { readable } from '../db/readable'
import { pourBack } from '../stock/stock-store'

/** Progress by job and operation; what is not there is open. */
export type ProgressByJob = Map<JobId, Record<string, Progress>>

export type WorkError = { code: 'already-recorded'; progress: Progress }

type ProgressRow = {
  job_id: JobId
  operation_id: OperationId
  started_at: string
  ended_at: string | null
  by_person: PersonId
  due_back: string | null
}

function toProgress(row: ProgressRow): Progress {
  return row.ended_at
    ? {
        kind: 'done',
        from: instantOrThrow(row.started_at),
        to: instantOrThrow(row.ended_at),
        by: row.by_person,
      }
    : {
        kind: 'started',
        at: instantOrThrow(row.started_at),
        by: row.by_person,
        ...(row.due_back ? { dueBack: instantOrThrow(row.due_back) } : {}),
      }
}

/** Progress of these jobs; of all that ever were where none are named. */
export async function loadProgress(db: Knex, jobIds?: readonly JobId[]): Promise<ProgressByJob> {
  const byJob: ProgressByJob = new Map()
  const rows: ProgressRow[] = await (jobIds ? db('progress').whereIn('job_id', jobIds) : db('progress'))
  const read = (row: ProgressRow) => ({ ...row, progress: toProgress(row) })
  const what = (row: ProgressRow) => ({ progress: row.job_id, operation: row.operation_id })
  for (const { job_id, operation_id, progress } of readable(rows, read, what)) {
    const job = byJob.get(job_id) ?? {}
    job[operation_id] = progress
    byJob.set(job_id, job)
  }
  return byJob
}

/** The layers of these jobs as they were applied, each job's in their order; nothing for a job without any. */
export async function loadLayersOf(db: Knex, jobIds: readonly JobId[]): Promise<Map<JobId, LayerLog[]>> {
  const rows = await db('layers')
    .join('progress', function onProgress() {
      this.on('progress.job_id', 'layers.job_id').andOn('progress.operation_id', 'layers.operation_id')
    })
    .whereIn('layers.job_id', [...jobIds])
    .orderBy('progress.ended_at')
    .select('layers.*', 'progress.started_at', 'progress.ended_at', 'progress.by_person')
  const byJob = new Map<JobId, LayerLog[]>()
  for (const row of rows) {
    const layers = byJob.get(row.job_id) ?? []
    layers.push({
      operationId: row.operation_id,
      productId: row.product_id,
      lot: row.lot,
      climate: { airC: row.air_c_x10 / 10, rhPercent: row.rh_x10 / 10, panelC: row.panel_c_x10 / 10 },
      startedAt: row.started_at,
      endedAt: row.ended_at,
      by: row.by_person,
    })
    byJob.set(row.job_id, layers)
  }
  return byJob
}

export async function loadLayers(db: Knex, jobId: JobId): Promise<LayerLog[]> {
  return (await loadLayersOf(db, [jobId])).get(jobId) ?? []
}

async function progressOf(db: Knex, jobId: JobId, operationId: OperationId): Promise<Progress | undefined> {
  const row = await db('progress').where({ job_id: jobId, operation_id: operationId }).first()
  return row ? toProgress(row) : undefined
}

/** Records that an operation was begun. Refused when it is recorded already, with what stands there. */
export async function recordStart(
  db: Knex,
  jobId: JobId,
  operationId: OperationId,
  at: Instant,
  by: PersonId,
  dueBack?: Instant,
): Promise<Result<true, WorkError>> {
  const written = await db('progress')
    .insert({
      job_id: jobId,
      operation_id: operationId,
      started_at: at,
      ended_at: null,
      by_person: by,
      due_back: dueBack ?? null,
      version: 1,
    })
    .onConflict(['job_id', 'operation_id'])
    .ignore()
    .returning('job_id')
  if (written.length > 0) return ok(true)
  return refused({ code: 'already-recorded', progress: (await progressOf(db, jobId, operationId))! })
}

/** What is away for an operation comes back at another time than was said. */
export async function recordDueBack(
  trx: Knex,
  jobId: JobId,
  operationId: OperationId,
  dueBack: Instant,
): Promise<void> {
  await trx('progress')
    .where({ job_id: jobId, operation_id: operationId })
    .whereNull('ended_at')
    .update({ due_back: dueBack })
    .increment('version', 1)
}

export type Finish = {
  jobId: JobId
  operationId: OperationId
  startedAt: Instant
  endedAt: Instant
  by: PersonId
  layer?: { productId: ProductId; lot: string; climate: BayClimate }
}

/** Records an operation as done, with its layer if it was one, in one transaction. A done one is not overwritten. */
export async function recordFinish(db: Knex, finish: Finish): Promise<Result<true, WorkError>> {
  const key = { job_id: finish.jobId, operation_id: finish.operationId }
  const times = { started_at: finish.startedAt, ended_at: finish.endedAt, by_person: finish.by }
  const written = await db.transaction(async (trx) => {
    const updated = await trx('progress')
      .where(key)
      .whereNull('ended_at')
      .update(times)
      .increment('version', 1)
    const inserted =
      updated > 0
        ? [key]
        : await trx('progress')
            .insert({ ...key, ...times, version: 1 })
            .onConflict(['job_id', 'operation_id'])
            .ignore()
            .returning('job_id')
    if (inserted.length === 0) return false
    if (finish.layer) await trx('layers').insert({ ...key, ...layerRow(finish.layer) })
    return true
  })
  if (written) return ok(true)
  return refused({
    code: 'already-recorded',
    progress: (await progressOf(db, finish.jobId, finish.operationId))!,
  })
}

function layerRow({ productId, lot, climate }: NonNullable<Finish['layer']>) {
  return {
    product_id: productId,
    lot,
    air_c_x10: Math.round(climate.airC * 10),
    rh_x10: Math.round(climate.rhPercent * 10),
    panel_c_x10: Math.round(climate.panelC * 10),
  }
}

/**
 * Puts a step back to where it stood: under way since it was really begun, or not begun at all. A layer logged with it is no more,
 * and what was poured for it is back in its bottles.
 */
export async function restore(
  trx: Knex,
  jobId: JobId,
  operationId: OperationId,
  stood: Progress | undefined,
  now: { at: Instant; zone: string },
): Promise<void> {
  const key = { job_id: jobId, operation_id: operationId }
  await trx('layers').where(key).delete()
  await trx('coat_climate').where(key).delete()
  await pourBack(trx, jobId, operationId, now)
  if (stood?.kind === 'started')
    await trx('progress')
      .where(key)
      .update({ started_at: stood.at, ended_at: null, by_person: stood.by ?? UNKNOWN_PERSON })
      .increment('version', 1)
  else await trx('progress').where(key).delete()
}

import type { Knex } from 'knex'
import { z } from 'zod'
import { type JobId, toPersonId } from '@/core/ids'
import type { Floor, Planning } from '@/core/planning'
import type { PlacedOperation } from '@/core/schedule'
import { type Instant, instantOrThrow } from '@/core/time'
import { noteChange } from '../db/note-change'
import { oneOf } from '../db/one-of'
import { parsedOnce } from '../db/parsed-once'
import { readable } from '../db/readable'
import type { PublishedRow } from '../db/tables'
import { moveHolds, placedHolds } from './hold-store'

/** The plan as it was last published, and the log of plannings. */

const peopleSchema = z.array(z.string().transform(toPersonId))
const moment = z.string().transform((at): Instant => instantOrThrow(at))
const segmentsSchema = z.array(z.tuple([moment, moment]))
const readPeople = parsedOnce((json) => peopleSchema.parse(JSON.parse(json)))
const readSegments = parsedOnce((json) => segmentsSchema.parse(JSON.parse(json)))

const toPlaced = (row: PublishedRow): PlacedOperation => ({
  job: row.job_id,
  operation: row.operation_id,
  start: instantOrThrow(row.start_at),
  end: instantOrThrow(row.end_at),
  people: readPeople(row.people),
  place: row.place_id,
  segments: readSegments(row.segments),
})

/** What is published for one job, in the order of time. */
export async function loadPublishedOf(db: Knex, jobId: JobId): Promise<PlacedOperation[]> {
  return (await db('published').where({ job_id: jobId }).orderBy('start_at')).map(toPlaced)
}

/** What is published for these jobs, by job; for all that ever were where none are named. */
export async function loadPublished(
  db: Knex,
  jobIds?: readonly JobId[],
): Promise<Map<JobId, PlacedOperation[]>> {
  const byJob = new Map<JobId, PlacedOperation[]>()
  const rows = jobIds ? db('published').whereIn('job_id', jobIds) : db('published')
  const found = await rows.orderBy('start_at')
  const what = (row: PublishedRow) => ({ published: row.job_id, operation: row.operation_id })
  for (const placed of readable(found, toPlaced, what)) {
    byJob.set(placed.job, [...(byJob.get(placed.job) ?? []), placed])
  }
  return byJob
}

/** From when until when the work at each car lies on the calendar. */
async function spansOf(trx: Knex, jobs: readonly JobId[]) {
  const rows: { job_id: JobId; begins: string; ends: string }[] = await trx('published')
    .whereIn('job_id', jobs)
    .groupBy('job_id')
    .select('job_id')
    .min({ begins: 'start_at' })
    .max({ ends: 'end_at' })
  return new Map(rows.map(({ job_id, begins, ends }) => [job_id, { begins, ends }]))
}

/** Replaces what is published for the jobs and the held slots that occur in `placed` and records the planning. */
export async function publish(
  db: Knex,
  placed: readonly PlacedOperation[],
  planning: Planning,
): Promise<void> {
  await db.transaction(async (trx) => {
    const all = [...new Set(placed.map(({ job }) => job))]
    const held = await placedHolds(trx, all)
    await moveHolds(trx, new Map([...held.keys()].map((id) => [id, placed.filter(({ job }) => job === id)])))
    const jobs = all.filter((id) => !held.has(id))
    const before = await spansOf(trx, jobs)
    await trx('published').whereIn('job_id', jobs).delete()
    // What is on the calendar is not put off any more.
    await trx('jobs').whereIn('id', jobs).whereNotNull('put_off_at').update({ put_off_at: null })
    const rows = placed
      .filter(({ job }) => !held.has(job))
      .map((operation) => ({
        job_id: operation.job,
        operation_id: operation.operation,
        start_at: operation.start,
        end_at: operation.end,
        place_id: operation.place,
        people: JSON.stringify(operation.people),
        segments: JSON.stringify(operation.segments),
      }))
    if (rows.length > 0) await trx.batchInsert('published', rows, 100)
    const after = await spansOf(trx, jobs)
    for (const job of jobs)
      await noteChange(trx, { of: 'published', key: job }, before.get(job), after.get(job))
    await trx('plannings').insert({
      computed_at: planning.computedAt,
      status: planning.status,
      cause: planning.cause,
      reasons: JSON.stringify(planning.reasons),
    })
  })
}

/**
 * Publishes the place of one job as it was worked out on this floor: what is promised is what stands on the calendar. The last
 * planning's own word, what it could not do, stays as it is.
 */
export async function publishFor(
  trx: Knex,
  jobId: JobId,
  placed: readonly PlacedOperation[],
  { floor: { now, planning }, cause }: { floor: Pick<Floor, 'now' | 'planning'>; cause: string },
): Promise<void> {
  await publish(
    trx,
    placed.map((operation) => ({ ...operation, job: jobId })),
    { computedAt: now, status: planning?.status ?? 'feasible', cause, reasons: planning?.reasons ?? [] },
  )
}

const STATUSES = ['optimal', 'feasible', 'infeasible'] as const

export async function lastPlanning(db: Knex): Promise<Planning | undefined> {
  const row = await db('plannings').orderBy('id', 'desc').first()
  if (!row) return undefined
  return {
    computedAt: instantOrThrow(row.computed_at),
    status: oneOf(STATUSES, row.status),
    cause: row.cause,
    reasons: JSON.parse(row.reasons),
  }
}

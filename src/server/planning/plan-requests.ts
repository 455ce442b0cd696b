import type { Knex } from 'knex'
import { z } from 'zod'
import { type Instant, instantOrThrow } from '@/core/time'

/** What is still to be planned: asked for in the transaction of what changed the calendar, and kept until it is planned. */
export type PlanRequest = {
  id: number
  cause: string
  /** Jobs that are to be moved; everything may move where none are named. */
  jobs?: string[]
  askedAt: Instant
}

const jobIds = z.array(z.string())

export async function askToPlan(
  trx: Knex,
  { cause, jobs, at }: { cause: string; jobs?: readonly string[]; at: Instant },
): Promise<void> {
  await trx('plan_requests').insert({
    cause,
    job_ids: jobs ? JSON.stringify(jobs) : null,
    asked_at: at,
  })
}

/** What is open, the oldest first. */
export async function openRequests(db: Knex): Promise<PlanRequest[]> {
  const rows = await db('plan_requests').whereNull('planned_at').orderBy('id')
  return rows.map((row) => ({
    id: row.id,
    cause: row.cause,
    ...(row.job_ids ? { jobs: jobIds.parse(JSON.parse(row.job_ids)) } : {}),
    askedAt: instantOrThrow(row.asked_at),
  }))
}

/** Marks requests as planned; with a fault where they could not be. */
export async function closeRequests(
  trx: Knex,
  ids: readonly number[],
  at: Instant,
  fault?: string,
): Promise<void> {
  await trx('plan_requests')
    .whereIn('id', ids)
    .update({ planned_at: at, fault: fault ?? null })
}

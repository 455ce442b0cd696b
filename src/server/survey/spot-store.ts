import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type Attempt, attemptSchema, type KeptAttempt } from '@/core/test-spot'
import type { Instant } from '@/core/time'
import { instantOrThrow } from '@/core/time'

/** What was tried at the test spots of a job. A slip is withdrawn, not deleted. */

function toAttempt(row: Record<string, string | null>): KeptAttempt {
  return {
    ...attemptSchema.parse(JSON.parse(row.attempt!)),
    id: row.id!,
    madeAt: instantOrThrow(row.made_at!),
    ...(row.hash ? { photoHash: row.hash } : {}),
  }
}

const select = (db: Knex) =>
  db('test_spots')
    .leftJoin('photos', 'photos.id', 'test_spots.photo_id')
    .select('test_spots.*', 'photos.hash')
    .whereNull('withdrawn_at')
    .orderBy(['test_spots.made_at', 'test_spots.id'])

/** In the order in which they were made. */
export async function listAttempts(db: Knex, jobId: JobId): Promise<KeptAttempt[]> {
  return (await select(db).where('test_spots.job_id', jobId)).map(toAttempt)
}

/** The attempts of several jobs, by job. */
export async function attemptsOfJobs(db: Knex, jobIds: readonly JobId[]): Promise<Map<JobId, KeptAttempt[]>> {
  const byJob = new Map<JobId, KeptAttempt[]>()
  for (const row of await select(db).whereIn('test_spots.job_id', jobIds))
    byJob.set(row.job_id, [...(byJob.get(row.job_id) ?? []), toAttempt(row)])
  return byJob
}

export async function addAttempt(
  db: Knex,
  jobId: JobId,
  attempt: Attempt,
  photoId: string | undefined,
  at: Instant,
): Promise<string> {
  const id = randomUUID()
  await db('test_spots').insert({
    id,
    job_id: jobId,
    attempt: JSON.stringify(attempt),
    photo_id: photoId ?? null,
    made_at: at,
  })
  return id
}

/** False where it is not there, or withdrawn already. */
export async function withdrawAttempt(db: Knex, jobId: JobId, id: string, at: Instant): Promise<boolean> {
  const changed = await db('test_spots')
    .where({ id, job_id: jobId })
    .whereNull('withdrawn_at')
    .update({ withdrawn_at: at })
  return changed > 0
}

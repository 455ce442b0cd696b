'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { attemptSchema } from '@/core/test-spot'
import { panelsOf } from '@/core/vehicle'
import { now } from '../clock'
import { database } from '../db/connection'
import { findJob } from '../floor/job-store'
import { listPhotos } from '../photos/photo-store'
import { addAttempt, withdrawAttempt } from './spot-store'

export type SpotAnswer = { kind: 'kept'; id: string } | { kind: 'refused'; message: string; field?: string }

const inputSchema = z.object({ attempt: attemptSchema, photoId: z.string().optional() })

/** Writes down what was tried at a test spot. What follows from it stands on the page at once. */
export async function keepAttempt(jobId: string, input: unknown): Promise<SpotAnswer> {
  const checked = inputSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return { kind: 'refused', message: issue!.message, field: String(issue!.path[1]) }
  }
  const { attempt, photoId } = checked.data
  const db = await database()
  const job = await findJob(db, jobId)
  if (!job) return { kind: 'refused', message: 'This job is no longer there. Go back to the yard.' }
  if (!panelsOf(job.vehicle.shape).some(({ id }) => id === attempt.panel))
    return { kind: 'refused', message: `“${attempt.panel}” is no panel of this shape.`, field: 'panel' }
  const photos = photoId === undefined ? [] : await listPhotos(db, jobId)
  if (photoId !== undefined && !photos.some(({ id }) => id === photoId))
    return { kind: 'refused', message: 'That photograph is no longer there. Choose another, or none.' }
  const id = await addAttempt(db, jobId, attempt, photoId, now())
  revalidatePath(`/jobs/${jobId}`, 'layout')
  return { kind: 'kept', id }
}

/** Takes a slip back. It is set aside, not deleted. */
export async function takeBackAttempt(jobId: string, id: string): Promise<SpotAnswer> {
  const done = await withdrawAttempt(await database(), jobId, id, now())
  revalidatePath(`/jobs/${jobId}`, 'layout')
  return done
    ? { kind: 'kept', id }
    : { kind: 'refused', message: 'It has been taken back already. Reload to see how it stands.' }
}

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, id } from '@/core/inputs'
import { attemptSchema } from '@/core/test-spot'
import { panelsOfVehicle } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { findJob } from '../floor/job-store'
import { listPhotos } from '../photos/photo-store'
import { addAttempt, withdrawAttempt } from './spot-store'

/** Writes down what was tried at a test spot. What follows from it stands on the page at once. */
export const keepAttempt = defineAction({
  name: 'survey.keep-attempt',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, attempt: attemptSchema, photoId: id.optional() }),
  write: async ({ trx, at }, { jobId, attempt, photoId }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    if (!panelsOfVehicle(job.vehicle).some((panel) => panel.id === attempt.panel))
      return refuse('input', ask('no-such-part'), 'attempt.panel')
    if (photoId !== undefined && !(await listPhotos(trx, jobId)).some((photo) => photo.id === photoId))
      return refuse('gone', ask('photo-other'))
    return done({ id: await addAttempt(trx, jobId, attempt, photoId, at) })
  },
})

/** Takes a slip back. It is set aside, not deleted. */
export const takeBackAttempt = defineAction({
  name: 'survey.take-attempt-back',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, id }),
  write: async ({ trx, at }, { jobId, id: attempt }) =>
    (await withdrawAttempt(trx, jobId, attempt, at)) ? done() : refuse('stale', ask('spot-taken-back')),
})

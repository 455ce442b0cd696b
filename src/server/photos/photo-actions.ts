'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id, version } from '@/core/inputs'
import { marksSchema, shownSchema } from '@/core/photo'
import { defineAction } from '../action/define'
import { setRemoved, writeMarks, writeShown } from './photo-store'

const NO_PHOTO = ask('photo-gone')

/** Keeps what was drawn on a photograph. */
export const keepMarks = defineAction({
  name: 'photos.keep-marks',
  who: 'team',
  input: z.strictObject({ id, version, marks: marksSchema }),
  write: async ({ trx }, { id: photo, version: readAt, marks }) => {
    if (!(await writeMarks(trx, photo, readAt, marks))) return refuse('stale', ask('photo-drawn-on'))
    const taken = await trx('photos').where({ id: photo }).first('job_id')
    return done({ jobId: taken!.job_id })
  },
})

/** Says which mark a photograph shows; without one, all of its place. */
export const keepShown = defineAction({
  name: 'photos.keep-shown',
  who: 'team',
  input: z.strictObject({ id, shows: shownSchema.optional() }),
  write: async ({ trx }, { id: photo, shows }) =>
    (await writeShown(trx, photo, shows ?? null)) ? done() : refuse('gone', NO_PHOTO),
})

export const removePhoto = defineAction({
  name: 'photos.remove',
  who: 'team',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, photo) =>
    (await setRemoved(trx, photo.id, at)) ? done() : refuse('gone', NO_PHOTO),
})

export const restorePhoto = defineAction({
  name: 'photos.restore',
  who: 'team',
  input: z.strictObject({ id }),
  write: async ({ trx }, photo) =>
    (await setRemoved(trx, photo.id, null)) ? done() : refuse('gone', NO_PHOTO),
})

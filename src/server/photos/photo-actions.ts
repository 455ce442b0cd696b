'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id, version } from '@/core/inputs'
import { marksSchema } from '@/core/photo'
import { defineAction } from '../action/define'
import { setRemoved, writeMarks } from './photo-store'

const NO_PHOTO = ask('photo-gone')

/** Keeps what was drawn on a photograph. */
export const keepMarks = defineAction({
  name: 'photos.keep-marks',
  who: 'floor',
  input: z.strictObject({ id, version, marks: marksSchema }),
  write: async ({ trx }, { id: photo, version: readAt, marks }) =>
    (await writeMarks(trx, photo, readAt, marks)) ? done() : refuse('stale', ask('photo-drawn-on')),
})

export const removePhoto = defineAction({
  name: 'photos.remove',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, photo) =>
    (await setRemoved(trx, photo.id, at)) ? done() : refuse('gone', NO_PHOTO),
})

export const restorePhoto = defineAction({
  name: 'photos.restore',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx }, photo) =>
    (await setRemoved(trx, photo.id, null)) ? done() : refuse('gone', NO_PHOTO),
})

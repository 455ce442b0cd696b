'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id } from '@/core/inputs'
import { defineAction } from '../action/define'
import { markRefusedRead } from './refused-store'

/** Somebody in the office has read what a tablet sent and the shop did not take. */
export const readRefused = defineAction({
  name: 'work.read-refused',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, entry) =>
    (await markRefusedRead(trx, entry.id, at)) ? done() : refuse('stale', ask('read-already')),
})

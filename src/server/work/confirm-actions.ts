'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id } from '@/core/inputs'
import { defineAction } from '../action/define'

/** Says that what a trainee finished was looked at and is done as it should be. */
export const confirmStep = defineAction({
  name: 'work.confirm',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx, at, caller }, { id: own }) => {
    const row = await trx('to_confirm')
      .where({ id: own })
      .whereNull('confirmed_at')
      .first('account_id', 'job_id')
    if (!row) return refuse('gone', ask('confirmed-already'))
    if (caller.role === 'trainee' || caller.account === row.account_id)
      return refuse('rule', ask('second-person'))
    await trx('to_confirm')
      .where({ id: own })
      .update({ confirmed_at: at, confirmed_by: caller.name ?? '' })
    return done({ jobId: row.job_id })
  },
})

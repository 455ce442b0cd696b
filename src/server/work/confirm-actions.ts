'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id } from '@/core/inputs'
import { HANDED_ON_ANSWERS } from '@/core/planning'
import { mayDo } from '@/core/staff'
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

/** Says who it was that did something on a tablet another was signed in on. */
export const answerHandedOn = defineAction({
  name: 'work.answer-handed-on',
  who: 'floor',
  input: z.strictObject({
    ids: z.array(z.string().min(1).max(80)).min(1).max(1000),
    answer: z.enum(HANDED_ON_ANSWERS),
  }),
  write: async ({ trx, at, caller }, { ids, answer }) => {
    const rows = await trx('handed_on')
      .whereIn('id', ids)
      .where((open) => open.whereNull('answer').orWhere({ answer: 'not-me' }))
      .select('id', 'person_id', 'answer')
    if (rows.length === 0) return refuse('gone', ask('confirmed-already'))
    const isOpen = rows.every((row) => (answer === 'looked-into') === (row.answer === 'not-me'))
    const mayAnswer =
      answer === 'me' || answer === 'not-me'
        ? rows.every((row) => row.person_id === caller.person)
        : mayDo(caller.role, 'manage')
    if (!isOpen || !mayAnswer) return refuse('rule', ask('only-themselves'))
    await trx('handed_on')
      .whereIn(
        'id',
        rows.map((row) => row.id),
      )
      .update({ answer, answered_by: caller.name ?? '', answered_at: at })
    return done()
  },
})

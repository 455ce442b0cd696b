'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, anOperation, aPerson, id } from '@/core/inputs'
import { everyone } from '@/core/shop'
import { defineAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import { writeAct } from './acts-store'
import { takeEntry } from './at-the-car'

/** The office answers a question from a car; the answer comes back to its card. */
export const answerNote = defineAction({
  name: 'work.answer-note',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    operation: anOperation,
    note: id,
    by: aPerson,
    text: z
      .string()
      .trim()
      .min(1, ask('note-words'))
      .max(300, ask('keep-under', { characters: 300 })),
  }),
  write: async ({ trx, at, key }, { jobId, operation, note, by, text }) => {
    const { setup } = await loadShop(trx)
    if (!everyone(setup).some((person) => person.id === by)) return refuse('input', ask('who-looks'), 'by')
    const entry = { kind: 'note-answer', id: key, job: jobId, by, at, operation, note, text } as const
    const conflict = await takeEntry(trx, entry, at)
    if (conflict) return refuse('stale', ask('note-over'))
    await writeAct(trx, entry, 'desk', at)
    return done()
  },
})

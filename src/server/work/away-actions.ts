'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import type { Conflict } from '@/core/card'
import { aJob, anOperation, aPerson } from '@/core/inputs'
import { everyone } from '@/core/shop'
import { atLocal, isClock, isLocalDay, localDayOrThrow } from '@/core/time'
import { defineAction } from '../action/define'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { writeAct } from './acts-store'
import { takeEntry } from './at-the-car'

const back = {
  day: z.string().refine(isLocalDay, ask('a-day')),
  time: z.string().refine(isClock, ask('a-time')),
}
const note = z
  .string()
  .trim()
  .max(300, ask('keep-under', { characters: 300 }))

/** The desk says what went out, what is back, and what is back later: the same acts as at the car. */
export const moveAway = defineAction({
  name: 'work.move-away',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    operation: anOperation,
    by: aPerson,
    what: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('out'), ...back }),
      z.strictObject({ kind: z.literal('back') }),
      z.strictObject({ kind: z.literal('later'), ...back, note }),
    ]),
  }),
  write: async ({ trx, at, key }, { jobId, operation, by, what }) => {
    const { setup } = await loadShop(trx)
    if (!everyone(setup).some((person) => person.id === by)) return refuse('input', ask('who-looks'), 'by')
    const agreement = await findAgreement(trx, jobId)
    const step = agreement?.plan.operations.find(({ id }) => id === operation)
    if (!step?.away) return refuse('rule', ask('away-not-now'))
    const { timezone } = setup.region
    const dueBack = 'day' in what ? atLocal(timezone, localDayOrThrow(what.day), what.time) : at
    const act =
      what.kind === 'back'
        ? ({ kind: 'done' } as const)
        : what.kind === 'out'
          ? ({ kind: 'begin', dueBack } as const)
          : ({ kind: 'due-back', dueBack, note: what.note } as const)
    const entry = { ...act, id: key, job: jobId, by, at, operation }
    const conflict = await takeEntry(trx, entry, at)
    if (conflict)
      return refuse(
        conflict.code === 'due-past' ? 'input' : 'stale',
        ask(ASKS[conflict.code] ?? 'away-not-now'),
        'what.day',
      )
    await writeAct(trx, entry, 'desk', at)
    return done()
  },
})

/** What the desk is told where an act cannot be taken: the card says the rest. */
const ASKS: Partial<
  Record<Conflict['code'], 'away-due-past' | 'away-out-already' | 'away-back-already' | 'away-not-off'>
> = {
  'due-past': 'away-due-past',
  'begun-already': 'away-out-already',
  'done-already': 'away-back-already',
  'open-before': 'away-not-off',
}

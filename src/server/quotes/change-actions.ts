'use server'

import { z } from 'zod'
import { type Answer, done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, id, version } from '@/core/inputs'
import { type AgreedBy, choicesSchema } from '@/core/offer'
import { MOST_SIGNED, signatureSchema } from '@/core/survey'
import { atLocal, type Instant, isClock, isLocalDay, localDayOrThrow } from '@/core/time'
import { defineAction, defineReadAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { loadShop } from '../shop/shop-store'
import { agreeChange, callOff, workOutChange, writeChange } from './changing'

/** What was agreed changes: worked out and shown, written down for the customer, agreed by signature or by telephone, or called off. */

const words = (characters: number) => z.string().trim().max(characters, ask('keep-under', { characters }))

const who = z
  .string()
  .trim()
  .min(1, ask('who-said-so'))
  .max(200, ask('keep-under', { characters: 200 }))

const yesSchema = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('signed'), name: who, signature: signatureSchema }),
  z.strictObject({
    how: z.literal('telephone'),
    name: who,
    day: z.string().refine((text): boolean => isLocalDay(text), ask('a-day')),
    time: z.string().refine(isClock, ask('a-time')),
  }),
])
type Yes = z.output<typeof yesSchema>

/** When it was said, and by whom; a refusal where that is still to come. */
function saidAt(zone: string, now: Instant, yes: Yes): { at: Instant; agreedBy: AgreedBy } | undefined {
  if (yes.how === 'signed') return { at: now, agreedBy: yes }
  const at = atLocal(zone, localDayOrThrow(yes.day), yes.time)
  return at > now ? undefined : { at, agreedBy: { how: yes.how, name: yes.name } }
}

/** What a change comes to and when the car could be fetched with it; nothing is kept. */
export const previewChange = defineReadAction({
  name: 'quotes.preview-change',
  who: 'desk',
  input: z.strictObject({ jobId: aJob, choices: choicesSchema }),
  read: async (
    { db, at },
    { jobId, choices },
  ): Promise<Answer<{ totalCents: number; collectAt?: Instant }>> => {
    const floor = await loadFloor(db, at)
    const worked = await workOutChange(db, floor, jobId, choices)
    if ('message' in worked) return refuse('rule', worked.message)
    const { changed, when } = worked
    return done({
      totalCents: changed.price.totalCents,
      ...(when.kind === 'possible' ? { collectAt: when.collectAt } : {}),
    })
  },
})

/** Writes a change down as the next version, for the customer to agree to. */
export const writeSupplement = defineAction({
  name: 'quotes.write-supplement',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    choices: choicesSchema,
    found: words(2000),
    otherwise: words(600),
    photos: z.array(id).max(12).default([]),
    note: words(600),
    shownCents: z.int(),
  }),
  write: async ({ trx, at }, { jobId, choices, ...rest }) => {
    const written = await writeChange(trx, await loadFloor(trx, at), jobId, choices, rest)
    return 'message' in written ? refuse('rule', written.message) : done({ version: written.version })
  },
})

/** The customer agrees to a change: it holds from now on, and the calendar, the card and the price follow it. */
export const acceptSupplement = defineAction({
  name: 'quotes.accept-supplement',
  who: 'desk',
  input: z.strictObject({ jobId: aJob, version, yes: yesSchema }),
  mostInput: MOST_SIGNED,
  write: async ({ trx, at }, { jobId, version: accepted, yes }) => {
    const { region } = (await loadShop(trx)).setup
    const said = saidAt(region.timezone, at, yes)
    if (!said) return refuse('input', ask('told-later'), 'yes.time')
    const refusal = await agreeChange(trx, await loadFloor(trx, at), jobId, accepted, said)
    return refusal ? refuse('rule', refusal.message) : done()
  },
})

/** What is not done yet is called off; what was done is charged, and the car can go home. */
export const callOffJob = defineAction({
  name: 'quotes.call-off',
  who: 'desk',
  input: z.strictObject({ jobId: aJob, from: z.int().min(0), found: words(600), yes: yesSchema }),
  mostInput: MOST_SIGNED,
  write: async ({ trx, at }, { jobId, from, found, yes }) => {
    const { region } = (await loadShop(trx)).setup
    const said = saidAt(region.timezone, at, yes)
    if (!said) return refuse('input', ask('told-later'), 'yes.time')
    const refusal = await callOff(trx, await loadFloor(trx, at), jobId, { found, from, ...said })
    return refusal ? refuse('rule', refusal.message) : done()
  },
})

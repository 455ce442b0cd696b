'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, version } from '@/core/inputs'
import { choicesSchema, quoteState } from '@/core/offer'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { agreeQuote, writeOffer } from './agreeing'
import { decideQuote, listQuotes } from './quote-store'

/** Writes the next version of a quote from what is chosen on the screen. */
export const writeQuoteVersion = defineAction({
  name: 'quotes.write-version',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    choices: choicesSchema,
    note: z
      .string()
      .trim()
      .max(600, ask('keep-under', { characters: 600 })),
    shownCents: z.int(),
  }),
  write: async ({ trx, at }, { jobId, choices, note, shownCents }) => {
    const floor = await loadFloor(trx, at)
    const written = await writeOffer(trx, floor, jobId, choices, { shownCents, note, mustFit: false })
    return 'message' in written ? refuse('rule', written.message) : done({ version: written.version })
  },
})

/** The customer says yes to a version: it is agreed as it was written and goes on the calendar. */
export const acceptQuote = defineAction({
  name: 'quotes.accept',
  who: 'desk',
  input: z.strictObject({ jobId: aJob, version }),
  write: async ({ trx, at }, { jobId, version: accepted }) => {
    const refusal = await agreeQuote(trx, jobId, accepted, at)
    return refusal ? refuse('rule', refusal.message) : done()
  },
})

/** The customer says no, and perhaps why. */
export const declineQuote = defineAction({
  name: 'quotes.decline',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    version,
    words: z
      .string()
      .trim()
      .max(300, ask('keep-under', { characters: 300 })),
  }),
  write: async ({ trx, at }, { jobId, version: declined, words }) => {
    const quotes = await listQuotes(trx, jobId)
    const quote = quotes.find((each) => each.version === declined)
    if (!quote) return refuse('gone', ask('quote-gone'))
    const { kind } = quoteState(quote, quotes.length, at)
    if (kind === 'accepted' || kind === 'declined') return refuse('stale', ask('quote-answered', { kind }))
    return (await decideQuote(trx, jobId, declined, { said: 'declined', at, words }))
      ? done()
      : refuse('stale', ask('answered-already'))
  },
})

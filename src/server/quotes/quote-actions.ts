'use server'

import { revalidatePath } from 'next/cache'
import { redirect } from 'next/navigation'
import { z } from 'zod'
import { choicesSchema, quoteState } from '@/core/offer'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { agreeQuote, type Refusal, writeOffer } from './agreeing'
import { decideQuote, listQuotes } from './quote-store'

const wantedSchema = z.object({
  choices: choicesSchema,
  note: z.string().trim().max(600, 'Keep the note under 600 characters.'),
  shownCents: z.int(),
})

export type QuoteAnswer =
  | { kind: 'written'; version: number }
  | { kind: 'refused'; message: string; field?: string }

/** Writes the next version of a quote from what is chosen on the screen. */
export async function writeQuoteVersion(jobId: string, input: unknown): Promise<QuoteAnswer> {
  const checked = wantedSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return { kind: 'refused', message: issue!.message, field: String(issue!.path.at(-1)) }
  }
  const db = await database()
  const { choices, note, shownCents } = checked.data
  const floor = await loadFloor(db, now())
  const written = await writeOffer(db, floor, jobId, choices, { shownCents, note, mustFit: false })
  if ('message' in written) return { kind: 'refused', ...written }
  revalidatePath(`/jobs/${jobId}`, 'layout')
  return { kind: 'written', version: written.version }
}

/** The customer says yes to a version: it is agreed as it was written and goes on the calendar. */
export async function acceptQuote(jobId: string, version: number): Promise<Refusal> {
  const refusal = await agreeQuote(await database(), jobId, version, now())
  if (refusal) return refusal
  redirect(`/jobs/${jobId}/schedule`)
}

const wordsSchema = z.string().trim().max(300, 'Keep it under 300 characters.')

/** The customer says no, and perhaps why. */
export async function declineQuote(
  jobId: string,
  version: number,
  words: string,
): Promise<Refusal | undefined> {
  const checked = wordsSchema.safeParse(words)
  if (!checked.success) return { message: checked.error.issues[0]!.message }
  const db = await database()
  const at = now()
  const quotes = await listQuotes(db, jobId)
  const quote = quotes.find((each) => each.version === version)
  if (!quote) return { message: 'This quote is no longer there. Reload the page.' }
  const { kind } = quoteState(quote, quotes.length, at)
  if (kind === 'accepted' || kind === 'declined')
    return { message: `This version was ${kind} already. Reload to see it.` }
  const declined = await decideQuote(db, jobId, version, { said: 'declined', at, words: checked.data })
  revalidatePath(`/jobs/${jobId}`, 'layout')
  return declined ? undefined : { message: 'Somebody has answered for it already. Reload to see it.' }
}

import type { Signature } from '../survey'
import type { Instant } from '../time'

/** What the customer said. */
export type QuoteDecision = {
  said: 'accepted' | 'declined'
  at: Instant
  words: string
  /** Who said yes to a change, and how; absent for a first quote. */
  agreedBy?: AgreedBy
}

export type AgreedBy =
  | { how: 'signed'; name: string; signature: Signature }
  | { how: 'telephone'; name: string }

/** How a quote stands. Nothing of it is stored but the decision: the rest follows from the clock and the versions. */
export type QuoteState =
  | { kind: 'open'; until: Instant }
  | { kind: 'accepted'; at: Instant }
  | { kind: 'declined'; at: Instant; words: string }
  | { kind: 'expired'; since: Instant }
  /** A later version has taken its place. */
  | { kind: 'superseded' }

export type QuoteStanding = { version: number; validUntil: Instant; decision?: QuoteDecision }

/** A decision once made stands; else the newest version is open until its day is over. */
export function quoteState(quote: QuoteStanding, newestVersion: number, now: Instant): QuoteState {
  const { decision } = quote
  if (decision?.said === 'accepted') return { kind: 'accepted', at: decision.at }
  if (decision) return { kind: 'declined', at: decision.at, words: decision.words }
  if (quote.version < newestVersion) return { kind: 'superseded' }
  return now < quote.validUntil
    ? { kind: 'open', until: quote.validUntil }
    : { kind: 'expired', since: quote.validUntil }
}

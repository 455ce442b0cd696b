import type { Act, Conflict } from '../card'
import type { JobId, PersonId } from '../ids'
import type { Shown } from '../photo'

/**
 * What a tablet has to tell the shop, in the order in which it was done. The tablet numbers its entries from 1; the shop takes the
 * next number only, and answers whatever it took before as it answered then: so each counts once and in order, over a network
 * that loses, repeats and reorders.
 */

/** Something done at a car; a step of its card. */
export type ActEntry = { kind: 'act'; job: JobId; by: PersonId; act: Act }
/** An action of the shop by its name, such as a payment; `by` is who of the crew had the tablet, where it knows. */
export type CallEntry = { kind: 'call'; action: string; input: unknown; about: string; by?: PersonId }
/** A photograph; the picture itself travels apart. */
export type PhotoEntry = {
  kind: 'photo'
  job: JobId
  place: string
  phase: 'before' | 'after'
  shows?: Shown
  samePlaceAs?: string
  name: string
  by?: PersonId
}

export type QueueEntry = { id: string } & (ActEntry | CallEntry | PhotoEntry)

/** As it is sent: with its number, and how long ago it was, ms. */
export type SentEntry = QueueEntry & { number: number; ago: number }

export type QueueBatch = { device: string; waiting: readonly SentEntry[] }

/** What became of one entry. `value` is what an action or a photograph gave. */
export type QueueOutcome = { id: string; number: number } & (
  | { taken: true; value?: unknown }
  | { taken: false; why: Why }
)

/** Why an entry was not taken: an act by its card’s reason, anything else in words. */
export type Why = { kind: 'card'; conflict: Conflict } | { kind: 'words'; message: string }

export type QueueReply = { next: number; outcomes: QueueOutcome[]; now: string }

/** Of a batch, what is new to a shop that waits for `next`: without gaps, in order. */
export function newIn<W extends { number: number }>(batch: { waiting: readonly W[] }, next: number): W[] {
  const sorted = batch.waiting.toSorted((a, b) => a.number - b.number)
  const fresh: W[] = []
  for (const waiting of sorted) if (waiting.number === next + fresh.length) fresh.push(waiting)
  return fresh
}

/**
 * The shop waits for a number the tablet has thrown away: it is another shop, or one set back to an old day. Then what waits is
 * numbered anew under another name; ids stay, so that nothing counts twice.
 */
export function isLost(reply: Pick<QueueReply, 'next'>, first: number): boolean {
  return reply.next < first
}

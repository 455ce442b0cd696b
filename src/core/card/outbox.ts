import { type Instant, instantOf } from '../time'
import type { Act } from './act'

/**
 * How acts come from a tablet to the shop exactly once and in order, over a network that loses, repeats and reorders. A
 * tablet numbers what it has to say from 1; the shop takes the next number only, and answers whatever it took before as
 * it answered then.
 */

/** An act as it waits on a tablet, with the tablet's own, perhaps wrong, clock. */
export type Waiting = { id: string; number: number; job: string; by: string; deviceAt: number; act: Act }

export type Outbox = { device: string; next: number; waiting: readonly Waiting[] }

/** What a tablet sends: everything that waits, and what its own clock says as it does. Milliseconds since 1970. */
export type Batch = { device: string; deviceNow: number; waiting: readonly Waiting[] }

/** What became of one act. */
export type Outcome<C> = { id: string; number: number } & ({ taken: true } | { taken: false; conflict: C })

export type Reply<C> = {
  /** The number the shop waits for next. */
  next: number
  outcomes: Outcome<C>[]
}

export const emptyOutbox = (device: string): Outbox => ({ device, next: 1, waiting: [] })

export function enqueue(
  outbox: Outbox,
  what: Pick<Waiting, 'id' | 'job' | 'by' | 'deviceAt' | 'act'>,
): Outbox {
  return {
    ...outbox,
    next: outbox.next + 1,
    waiting: [...outbox.waiting, { ...what, number: outbox.next }],
  }
}

/** What still waits after a reply. A late reply to an old batch takes away only what the shop has. */
export function acknowledged(outbox: Outbox, reply: Pick<Reply<unknown>, 'next'>): Outbox {
  return { ...outbox, waiting: outbox.waiting.filter(({ number }) => number >= reply.next) }
}

/**
 * An outbox the shop can no longer follow, since it waits for a number the tablet has thrown away: it is another shop, or
 * one set back to an old day. What waits is numbered anew under another name; ids stay, so that nothing counts twice.
 */
export function renamed(outbox: Outbox, device: string): Outbox {
  const waiting = outbox.waiting.map((each, index) => ({ ...each, number: index + 1 }))
  return { device, next: waiting.length + 1, waiting }
}

export function isLost(outbox: Outbox, reply: Pick<Reply<unknown>, 'next'>): boolean {
  const first = outbox.waiting[0]
  return reply.next < (first?.number ?? outbox.next)
}

/** Of a batch, what is new to a shop that waits for `next`: without gaps, in order. */
export function newIn<W extends { number: number }>(batch: { waiting: readonly W[] }, next: number): W[] {
  const sorted = batch.waiting.toSorted((a, b) => a.number - b.number)
  const fresh: W[] = []
  for (const waiting of sorted) if (waiting.number === next + fresh.length) fresh.push(waiting)
  return fresh
}

/**
 * When something happened on the shop's clock: as long ago as the tablet says, whatever its clock shows. Nothing happened
 * in the future.
 */
export function onShopClock(deviceAt: number, deviceNow: number, shopNow: Instant): Instant {
  const ago = Math.max(0, deviceNow - deviceAt)
  return instantOf(new Date(Date.parse(shopNow) - ago))
}

import type { PersonId } from '@/core/ids'
import type { QueueBatch, QueueReply, Reading, SentEntry } from '@/core/queue'
import type { QueueDb, Refused, Sent, Waiting } from './queue-db'

export type QueueState = {
  waiting: readonly Waiting[]
  sent: readonly Sent[]
  refused: readonly Refused[]
  /** The shop's time less the wall clock's, ms; unknown until the shop, or a page of it, has told it. */
  offsetMs?: number
  /** Whether the shop was last heard. */
  reached: boolean
  /** The shop was reached and knows nobody at this screen: what waits is sent once somebody has signed in. */
  signedOut: boolean
  /** Whether the shop has told its time since this page was opened; until then the tablet may go by an old one. */
  heard: boolean
  /** The tablet cannot store anything: what waits is lost when the page is closed. */
  forgetful: boolean
}

/** Before anything was read or heard. */
export const EMPTY_QUEUE: QueueState = {
  waiting: [],
  sent: [],
  refused: [],
  reached: true,
  signedOut: false,
  heard: false,
  forgetful: false,
}

/** Thrown where the shop is reached and asks who is there. */
export class SignedOut extends Error {}

export type PhotoCall = { device: string; entry: Extract<Waiting, { kind: 'photo' }>; ago: number }

export type Surroundings = {
  /** Opens what the device keeps; rejects where the browser keeps nothing. */
  open: () => Promise<QueueDb>
  /** Throws where the shop is not reached. */
  post: (batch: QueueBatch) => Promise<QueueReply>
  postPhoto: (photo: PhotoCall) => Promise<QueueReply>
  clocks: () => Reading
  newId: () => string
  /** The tab this page is in; the same for each page that is opened in it. */
  tab: string
  later: (run: () => void, ms: number) => void
  /** Who of the crew has this device now, as far as it knows. */
  who: () => PersonId | undefined
  /** Runs alone among the tabs of this device; undefined where the browser has no locks. False where another tab is at it. */
  alone?: (run: () => Promise<void>) => Promise<boolean>
  /** Tells the other tabs that something has changed; `onOther` hears them. */
  tellOthers: () => void
  onOther: (heard: () => void) => void
}

/** An entry as it is sent: without the tablet's clocks and without its picture. */
export function onTheWire(waiting: Waiting, ago: number): SentEntry {
  const { noted: _, picture: __, ...entry } = waiting
  return { ...entry, ago }
}

/** An entry as it is kept once the shop has answered. */
export function asTold(waiting: Waiting): Sent {
  const { number: _, picture: __, ...told } = waiting
  return told
}

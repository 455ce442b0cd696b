import {
  type Act,
  acknowledged,
  type Conflict,
  type Entry,
  emptyOutbox,
  enqueue,
  isLost,
  type Outbox,
  type Reply,
  renamed,
  type Waiting,
} from '@/core/card'
import { type Instant, instantOf } from '@/core/time'

/** Keeps what was done at the car on the tablet until the shop has it, whatever the network does. */

/** What the shop did not take, until somebody has read it. */
export type Refused = { entry: Entry; conflict: Conflict }

export type OutboxState = {
  outbox: Outbox
  /** Taken by the shop, and perhaps not yet on the card that is shown. */
  sent: readonly Waiting[]
  refused: readonly Refused[]
  /** Shop’s clock less the tablet’s, ms; unknown until the shop has told it. */
  offsetMs?: number
  /** Whether the shop was last heard. */
  reached: boolean
  /** Whether the shop has told its time since this page was opened; until then the tablet may go by an old one. */
  heard: boolean
  /** The tablet cannot store anything: what waits is lost when the page is closed. */
  forgetful: boolean
}

export type ShopReply = Reply<Conflict> & { now: Instant }

export type Surroundings = {
  storage: Pick<Storage, 'getItem' | 'setItem'>
  post: (batch: { device: string; deviceNow: number; waiting: readonly Waiting[] }) => Promise<ShopReply>
  clock: () => number
  newId: () => string
  later: (run: () => void, ms: number) => void
}

const KEY = 'fern-yard.outbox'
const RETRY_FIRST_MS = 2_000
const RETRY_MOST_MS = 20_000
/** The shop takes so many at a time. */
const BATCH_MOST = 200
/** Acts the shop has taken are kept for the eye until the card shows them, and no longer than this many. */
const SENT_MOST = 60

type Stored = Pick<OutboxState, 'outbox' | 'sent' | 'refused' | 'offsetMs'>

export class OutboxStore {
  private state: OutboxState
  private flying = false
  private again = false
  private retryMs = RETRY_FIRST_MS
  private readonly listeners = new Set<() => void>()

  constructor(private readonly around: Surroundings) {
    this.state = { ...this.restored(), reached: true, heard: false, forgetful: false }
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }

  getState = () => this.state

  /** The shop’s time now, as well as the tablet knows it. */
  shopNow(): Instant {
    return instantOf(new Date(this.around.clock() + (this.state.offsetMs ?? 0)))
  }

  /** Goes by the time on a page until the shop itself has told it: the page may have been kept for a while. */
  trustClock(shopNow: Instant): void {
    if (this.state.offsetMs === undefined) this.set({ offsetMs: Date.parse(shopNow) - this.around.clock() })
  }

  /** Notes an act at once, and sends it as soon as that can be. */
  add(job: string, by: string, act: Act): void {
    const waiting = { id: this.around.newId(), job, by, act, deviceAt: this.around.clock() }
    this.set({ outbox: enqueue(this.state.outbox, waiting) })
    void this.flush()
  }

  /** Acts of a job that the card as it came from the shop does not show yet, as entries. */
  pending(job: string, shown: ReadonlySet<string>): Entry[] {
    return [...this.state.sent, ...this.state.outbox.waiting]
      .filter((waiting) => waiting.job === job && !shown.has(waiting.id))
      .map((waiting) => entryOf(waiting, this.state.offsetMs ?? 0))
  }

  /** The card now shows these: they need not be kept for the eye. */
  shown(ids: ReadonlySet<string>): void {
    const sent = this.state.sent.filter(({ id }) => !ids.has(id))
    if (sent.length < this.state.sent.length) this.set({ sent })
  }

  dismiss(id: string): void {
    this.set({ refused: this.state.refused.filter(({ entry }) => entry.id !== id) })
  }

  /** Sends what waits; an empty outbox asks for the time. One at a time: order is kept. */
  async flush(): Promise<void> {
    if (this.flying) {
      this.again = true
      return
    }
    this.flying = true
    this.again = false
    const { device, waiting } = this.state.outbox
    const batch = { device, deviceNow: this.around.clock(), waiting: waiting.slice(0, BATCH_MOST) }
    try {
      this.answered(batch.waiting, await this.around.post(batch))
      this.retryMs = RETRY_FIRST_MS
    } catch {
      this.set({ reached: false })
      this.around.later(() => void this.flush(), this.retryMs)
      this.retryMs = Math.min(RETRY_MOST_MS, 2 * this.retryMs)
      return
    } finally {
      this.flying = false
    }
    if (this.again || this.state.outbox.waiting.length > 0) await this.flush()
  }

  private answered(batch: readonly Waiting[], reply: ShopReply): void {
    const { outbox } = this.state
    if (isLost(outbox, reply)) {
      // Another shop, or one restored from an old day: what waits is told to it from the beginning.
      this.set({ outbox: renamed(outbox, this.around.newId()), reached: true })
      return
    }
    const offsetMs = Date.parse(reply.now) - this.around.clock()
    const byId = new Map(batch.map((waiting) => [waiting.id, waiting]))
    const refused = reply.outcomes.flatMap((outcome): Refused[] => {
      const waiting = byId.get(outcome.id)
      return outcome.taken || !waiting
        ? []
        : [{ entry: entryOf(waiting, offsetMs), conflict: outcome.conflict }]
    })
    const taken = reply.outcomes.flatMap((outcome) => (outcome.taken ? (byId.get(outcome.id) ?? []) : []))
    this.set({
      outbox: acknowledged(outbox, reply),
      sent: [...this.state.sent, ...taken].slice(-SENT_MOST),
      refused: [...this.state.refused, ...refused],
      offsetMs,
      reached: true,
      heard: true,
    })
  }

  private set(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change }
    const { outbox, sent, refused, offsetMs } = this.state
    const stored: Stored = { outbox, sent, refused, ...(offsetMs === undefined ? {} : { offsetMs }) }
    try {
      this.around.storage.setItem(KEY, JSON.stringify(stored))
      if (this.state.forgetful) this.state = { ...this.state, forgetful: false }
    } catch {
      this.state = { ...this.state, forgetful: true }
    }
    for (const listener of this.listeners) listener()
  }

  private restored(): Stored {
    try {
      const text = this.around.storage.getItem(KEY)
      if (text) return JSON.parse(text) as Stored
    } catch {
      // A storage that cannot be read is begun anew; what was in it is out of reach in any case.
    }
    return { outbox: emptyOutbox(this.around.newId()), sent: [], refused: [] }
  }
}

function entryOf({ id, job, by, act, deviceAt }: Waiting, offsetMs: number): Entry {
  return { ...act, id, job, by, at: instantOf(new Date(deviceAt + offsetMs)) }
}

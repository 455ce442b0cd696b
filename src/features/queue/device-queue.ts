import { agoMs, type Heard, isLost, type QueueEntry, type QueueReply, shopTime } from '@/core/queue'
import { type Instant, instantOf } from '@/core/time'
import { endLease, LEASE_MS, takeLease, takeLeaseAgain } from './lease'
import {
  append,
  deviceOf,
  type Kept,
  type Noted,
  type QueueDb,
  type Refused,
  readAll,
  rename,
  type Sent,
  settle,
  type Waiting,
} from './queue-db'
import { asTold, EMPTY_QUEUE, onTheWire, type QueueState, SignedOut, type Surroundings } from './told'

/** Keeps what was done at the car on the tablet until the shop has it, whatever the network, the tabs and the clock do. */

const RETRY_FIRST_MS = 2_000
const RETRY_MOST_MS = 20_000
/** Another tab is sending: it will take what waits here along, and is looked after in a while, ms. */
const OTHER_TAB_MS = 1_500
/** The shop takes so many at a time. */
const BATCH_MOST = 200

export class DeviceQueue {
  private state = EMPTY_QUEUE
  private lastHeard: Heard | undefined
  /** When the shop was last heard and nothing was left waiting. */
  private emptied: Heard | undefined
  /** The shop was out of reach, or was never asked: its time is asked for before anything is sent. */
  private mustHear = true
  private flying = false
  private again = false
  private retryMs = RETRY_FIRST_MS
  /** What this page is called where the browser keeps nothing. */
  private readonly page: string
  private readonly listeners = new Set<() => void>()
  private readonly opened: Promise<QueueDb | undefined>
  /** What could not be stored is at least kept while the page is open. */
  private readonly memory: Waiting[] = []
  /** How many entries were kept so; the shop counts them from this page as it counts those of a device. */
  private remembered = 0

  /** When what this device keeps has been read. */
  readonly ready: Promise<void>

  constructor(private readonly around: Surroundings) {
    this.page = around.newId()
    this.opened = around.open().catch(() => {
      this.set({ forgetful: true })
      return undefined
    })
    around.onOther(() => void this.reload())
    this.ready = this.reload()
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
    const now = this.around.clocks()
    const known = this.lastHeard ? shopTime(now, this.lastHeard) : now.wall + (this.state.offsetMs ?? 0)
    return instantOf(new Date(known))
  }

  /** When an entry was, on the shop's clock as the tablet knows it. */
  timeOf(entry: Noted): Instant {
    const now = this.hearAgain()
    const ago = agoMs(entry.noted, now, 'number' in entry ? this.emptied : undefined)
    return instantOf(new Date(now.shop - ago))
  }

  /** Goes by the time on a page until the shop itself has told it: the page may have been kept for a while. */
  trustClock(shopNow: Instant): void {
    if (this.state.offsetMs === undefined)
      this.set({ offsetMs: Date.parse(shopNow) - this.around.clocks().wall })
  }

  /** Notes an entry at once, and sends it as soon as that can be. */
  async add(told: QueueEntry, picture?: Blob): Promise<void> {
    const noted = this.around.clocks()
    const who = this.around.who()
    const entry: QueueEntry = told.kind === 'act' || !who ? told : { ...told, by: who }
    const shown: Waiting = {
      ...entry,
      number: Number.MAX_SAFE_INTEGER,
      noted,
      ...(picture ? { picture } : {}),
    }
    this.set({ waiting: [...this.state.waiting, shown] })
    const db = await this.opened
    try {
      if (!db) throw new Error('no store')
      await append(db, entry, noted, this.around.newId, picture)
      await this.reload()
      this.around.tellOthers()
    } catch {
      this.remembered += 1
      this.memory.push({ ...shown, number: this.remembered })
      this.set({ forgetful: true })
    }
    await this.flush()
  }

  /** What is shown now has these: they need not be kept for the eye. */
  async shown(ids: ReadonlySet<string>): Promise<void> {
    const gone = this.state.sent.filter(({ id }) => ids.has(id))
    if (gone.length === 0) return
    this.set({ sent: this.state.sent.filter(({ id }) => !ids.has(id)) })
    const db = await this.opened
    for (const { id } of gone) await db?.delete('sent', id)
  }

  /** Somebody has read why an entry was not taken. */
  async dismiss(id: string): Promise<void> {
    this.set({ refused: this.state.refused.filter((each) => each.id !== id) })
    await (await this.opened)?.delete('refused', id)
    this.around.tellOthers()
  }

  /** Sends what waits; an empty queue asks for the time. One tab at a time: order is kept. */
  async flush(): Promise<void> {
    if (this.flying) {
      this.again = true
      return
    }
    this.flying = true
    try {
      do {
        this.again = false
        if (!(await this.alone(() => this.drain()))) {
          this.around.later(() => void this.flush(), OTHER_TAB_MS)
          break
        }
      } while (this.again)
    } catch (error) {
      this.mustHear = true
      this.set({ reached: false, signedOut: error instanceof SignedOut })
      this.around.later(() => void this.flush(), this.retryMs)
      this.retryMs = Math.min(RETRY_MOST_MS, 2 * this.retryMs)
    } finally {
      this.flying = false
    }
  }

  private async alone(run: () => Promise<void>): Promise<boolean> {
    if (this.around.alone) return this.around.alone(run)
    const db = await this.opened
    if (!db) {
      await run()
      return true
    }
    if (!(await takeLease(db, this.around.tab, this.around.clocks().wall, LEASE_MS))) return false
    try {
      await run()
      return true
    } finally {
      await endLease(db, this.around.tab)
    }
  }

  /** Sends piece by piece until nothing waits, whichever tab has noted it. */
  private async drain(): Promise<void> {
    const db = await this.opened
    if (!db) return this.drainMemory()
    for (;;) {
      const device = await deviceOf(db, this.around.newId)
      const waiting = await db.getAll('waiting', null, BATCH_MOST)
      if (this.mustHear) {
        const hello = await this.around.post({ device: device.id, waiting: [] })
        const now = this.hear(hello)
        this.mustHear = false
        if (isLost(hello, waiting[0]?.number ?? device.next)) {
          await rename(db, this.around.newId)
          continue
        }
        if (waiting.length === 0) {
          await settle(db, hello.next, [], [], now)
          break
        }
        await this.send(db, device.id, waiting, now)
        continue
      }
      if (waiting.length === 0) break
      await this.send(db, device.id, waiting, this.hearAgain())
    }
    this.emptied = this.lastHeard
    if (this.emptied) await db.put('meta', this.emptied, 'emptied')
    await this.reload()
  }

  /** The clocks now, with the shop's time as it was last heard. */
  private hearAgain(): Heard {
    const now = this.around.clocks()
    return { ...now, shop: Date.parse(this.shopNow()) }
  }

  private async send(db: QueueDb, device: string, waiting: readonly Waiting[], now: Heard): Promise<void> {
    await takeLeaseAgain(db, this.around.tab, now.wall, this.around.alone === undefined)
    const ago = ({ noted }: Waiting) => agoMs(noted, now, this.emptied)
    const { reply, heard, sent, refused } = await this.tell(device, waiting, ago)
    if (isLost(reply, waiting[0]!.number)) return rename(db, this.around.newId)
    await settle(db, reply.next, sent, refused, heard)
    this.around.tellOthers()
    await this.reload()
  }

  /** Tells the shop what waits first: a photograph by itself, or all there is before the next one. */
  private async tell(device: string, waiting: readonly Waiting[], ago: (entry: Waiting) => number) {
    const [first] = waiting
    const upTo = waiting.findIndex(({ kind }) => kind === 'photo')
    const batch = upTo < 0 ? waiting : waiting.slice(0, upTo)
    const reply =
      first?.kind === 'photo'
        ? await this.around.postPhoto({ device, entry: first, ago: ago(first) })
        : await this.around.post({ device, waiting: batch.map((entry) => onTheWire(entry, ago(entry))) })
    const heard = this.hear(reply)
    const byId = new Map(waiting.map((entry) => [entry.id, entry]))
    const sent: Sent[] = []
    const refused: Refused[] = []
    for (const outcome of reply.outcomes) {
      const entry = byId.get(outcome.id)
      if (!entry) continue
      const told = asTold(entry)
      if (outcome.taken)
        sent.push({ ...told, ...(outcome.value === undefined ? {} : { value: outcome.value }) })
      else refused.push({ ...told, why: outcome.why })
    }
    return { reply, heard, sent, refused }
  }

  /** Where nothing can be stored, what waits in this page is sent from it, under a name that lives as long as the page. */
  private async drainMemory(): Promise<void> {
    const device = this.page
    while (this.memory.length > 0 || this.mustHear) {
      const now = this.hear(await this.around.post({ device, waiting: [] }))
      this.mustHear = false
      if (this.memory.length === 0) break
      const { sent, refused } = await this.tell(device, this.memory.slice(0, BATCH_MOST), ({ noted }) =>
        agoMs(noted, now, undefined),
      )
      const told = new Set([...sent, ...refused].map(({ id }) => id))
      this.memory.splice(0, this.memory.length, ...this.memory.filter(({ id }) => !told.has(id)))
      this.set({
        waiting: this.state.waiting.filter(({ id }) => !told.has(id)),
        sent: [...this.state.sent, ...sent],
        refused: [...this.state.refused, ...refused],
      })
      // An answer that says nothing of what was sent would be asked for without an end.
      if (told.size === 0) throw new Error('unsaid')
    }
  }

  private hear(reply: QueueReply): Heard {
    const now: Heard = { ...this.around.clocks(), shop: Date.parse(reply.now) }
    this.lastHeard = now
    this.retryMs = RETRY_FIRST_MS
    this.set({ reached: true, signedOut: false, heard: true, offsetMs: now.shop - now.wall })
    return now
  }

  /** Reads what this device keeps: this tab may not be the only one. */
  private async reload(): Promise<void> {
    const db = await this.opened
    if (!db) return
    const kept: Kept = await readAll(db)
    this.lastHeard ??= kept.heard
    this.emptied ??= kept.emptied
    const stored = new Set([...kept.waiting, ...kept.sent, ...kept.refused].map(({ id }) => id))
    // What was just noted and is still on its way into the store stays in sight.
    const fresh = this.state.waiting.filter(
      ({ id, number }) => number === Number.MAX_SAFE_INTEGER && !stored.has(id),
    )
    const offset = this.state.offsetMs ?? (kept.heard ? kept.heard.shop - kept.heard.wall : undefined)
    this.set({
      waiting: [...kept.waiting, ...fresh],
      sent: kept.sent,
      refused: kept.refused,
      ...(offset === undefined ? {} : { offsetMs: offset }),
    })
  }

  private set(change: Partial<QueueState>): void {
    this.state = { ...this.state, ...change }
    for (const listener of this.listeners) listener()
  }
}

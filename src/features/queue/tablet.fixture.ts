import type { PersonId } from '@/core/ids'
import type { QueueBatch, QueueReply } from '@/core/queue'
import { DeviceQueue } from './device-queue'
import { openQueueDb } from './queue-db'
import type { PhotoCall, Surroundings } from './told'

/** A shop as a tablet knows it: what it answers, or throws where it is out of reach; `now` is its time, ms. */
export type Reached = {
  now: number
  receive: (batch: QueueBatch) => QueueReply | Promise<QueueReply>
  /** Where it is not told apart, a photograph comes as an entry like any other. */
  receivePhoto?: (photo: PhotoCall) => Promise<QueueReply>
}

/** A tablet with its own clocks, its own store, and as many tabs as are opened. */
export class Tablet {
  wallOff = 0
  asleep = 0
  heldBy: PersonId | undefined
  private pages = 0
  private readonly pageFrom = new Map<number, number>()
  readonly later: (() => void)[] = []
  private readonly others: (() => void)[] = []
  private ids = 0
  private locked = false
  constructor(
    readonly shop: Reached,
    readonly name: string,
    private readonly hasLocks: boolean,
  ) {}

  /** A page in a tab: in a new one, or, by its name, the next page in one that was open before. */
  tab(name?: string): DeviceQueue {
    this.pages += 1
    const page = this.pages
    this.pageFrom.set(page, this.shop.now)
    const around: Surroundings = {
      open: () => openQueueDb(this.name),
      post: async (batch) => this.shop.receive(batch),
      postPhoto: async (photo: PhotoCall) => {
        if (this.shop.receivePhoto) return this.shop.receivePhoto(photo)
        const { device, entry, ago } = photo
        const { noted: _, picture: __, ...sent } = entry
        return this.shop.receive({ device, waiting: [{ ...sent, ago }] })
      },
      clocks: () => ({
        wall: this.shop.now + this.wallOff,
        mono: this.shop.now - this.pageFrom.get(page)!,
        session: `page-${page}`,
      }),
      tab: name ?? `tab-${page}`,
      who: () => this.heldBy,
      newId: () => {
        this.ids += 1
        return `${this.name}-${this.ids}`
      },
      later: (run) => void this.later.push(run),
      tellOthers: () => {
        for (const hear of this.others) hear()
      },
      onOther: (hear) => void this.others.push(hear),
      ...(this.hasLocks
        ? {
            alone: async (run: () => Promise<void>) => {
              if (this.locked) return false
              this.locked = true
              try {
                await run()
                return true
              } finally {
                this.locked = false
              }
            },
          }
        : {}),
    }
    return new DeviceQueue(around)
  }
}

/** Lets all that is under way come to rest, and runs what was put off, as often as it takes. */
export async function rest(tablet: Tablet, tabs: readonly DeviceQueue[]) {
  for (let round = 0; round < 6; round++) {
    for (const tab of tabs) await tab.flush()
    for (const run of tablet.later.splice(0)) run()
    await new Promise((resolve) => setTimeout(resolve, 0))
  }
}

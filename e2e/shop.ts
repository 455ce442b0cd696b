import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { copyShop } from '../demo/copy'
import { House } from './house'

const CLEARING_TRIES = 40
const CLEARING_MS = 100

/**
 * Removes a folder the house still stands open on: it may yet write what the last story asked for, between what was in it and the
 * folder itself. Then all of it is removed once more.
 */
async function cleared(folder: string): Promise<void> {
  for (let tries = 1; ; tries++)
    try {
      return rmSync(folder, { recursive: true, force: true })
    } catch (error) {
      if (tries === CLEARING_TRIES) throw error
      await new Promise((resolve) => setTimeout(resolve, CLEARING_MS))
    }
}

/** A real shop for a story: the built app on a database file of its own, at a time of its own. */

/** Nothing in a shop without cars hangs on the hour. */
const SET_UP_AT = '2027-01-01T12:00:00Z'
const START_TIMEOUT_MS = 60_000
const KNOCK_MS = 40

export class Shop {
  private house: House | undefined
  private openedAt: string | undefined
  url = ''

  private constructor(
    readonly data: string,
    private env?: Readonly<Record<string, string>>,
  ) {}

  /** Nothing yet: what a new owner finds. */
  static bare(): Shop {
    return new Shop(mkdtempSync(path.join(tmpdir(), 'fern-yard-')))
  }

  /** The shop in a folder, such as one that came back from a backup. */
  static of(folder: string, env?: Readonly<Record<string, string>>): Shop {
    return new Shop(folder, env)
  }

  /** Fern Yard, set up, before its first car. */
  static empty(): Shop {
    const shop = new Shop(mkdtempSync(path.join(tmpdir(), 'fern-yard-')))
    copyShop(shop.data, SET_UP_AT, 'set-up')
    return shop
  }

  /** The demo shop; with the two years behind it where a story needs them, and served in a way of its own where it says how. */
  static demo(
    clock: string,
    { past = false, env }: { past?: boolean; env?: Readonly<Record<string, string>> } = {},
  ): Shop {
    const shop = new Shop(mkdtempSync(path.join(tmpdir(), 'fern-yard-')), env)
    copyShop(shop.data, clock, past ? 'years' : 'demo')
    return shop
  }

  private get isOpen(): boolean {
    return this.house?.isOpen ?? false
  }

  /** Opens the shop at a moment; where it is open, its clock is set. It then runs on. */
  async open(clock: string): Promise<void> {
    const wasOpen = this.isOpen
    if (wasOpen && this.openedAt === clock) return
    this.house ??= this.env ? await House.apart(this.env) : await House.find()
    this.house.setClock(clock)
    this.openedAt = clock
    if (wasOpen) return
    await this.house.open(this.data)
    this.url = this.house.url
    const deadline = Date.now() + START_TIMEOUT_MS
    while (Date.now() < deadline) {
      if (await this.house.answers()) return
      await new Promise((resolve) => setTimeout(resolve, KNOCK_MS))
    }
    throw new Error('the shop did not open')
  }

  /** Sets the clock of an open shop back to when it opened. */
  againNow(): void {
    if (this.openedAt) this.house?.setClock(this.openedAt)
  }

  /** Opens it again, served in another way. */
  async serveTo(env: Readonly<Record<string, string>>, clock: string): Promise<void> {
    await this.house?.vacate()
    this.env = env
    this.house = undefined
    await this.open(clock)
  }

  /** Cuts its power. */
  async kill(): Promise<void> {
    await this.house?.kill()
  }

  async close(): Promise<void> {
    await this.house?.close()
  }

  async remove(): Promise<void> {
    await this.house?.vacate()
    this.house = undefined
    await cleared(this.data)
  }
}

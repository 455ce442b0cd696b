import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { copyShop } from '../demo/copy'

/** A real shop for a story: the built app on a database file of its own, at a time of its own. */

const ROOT = path.resolve(import.meta.dirname, '..')
/** Nothing in a shop without cars hangs on the hour. */
const SET_UP_AT = '2027-01-01T12:00:00Z'
const START_TIMEOUT_MS = 60_000
const CLOSE_PATIENCE_MS = 300
const KNOCK_MS = 40

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() =>
        address && typeof address === 'object' ? resolve(address.port) : reject(new Error('no port')),
      )
    })
  })
}

export class Shop {
  private server: ChildProcess | undefined
  private port: number | undefined
  private openedAt: string | undefined
  url = ''

  private constructor(readonly data: string) {}

  /** Nothing yet: what a new owner finds. */
  static bare(): Shop {
    return new Shop(mkdtempSync(path.join(tmpdir(), 'fern-yard-')))
  }

  /** Fern Yard, set up, before its first car. */
  static empty(): Shop {
    const shop = new Shop(mkdtempSync(path.join(tmpdir(), 'fern-yard-')))
    copyShop(shop.data, SET_UP_AT, 'set-up')
    return shop
  }

  /** The demo shop; with the two years behind it where a story needs them. */
  static demo(clock: string, { past = false } = {}): Shop {
    const shop = new Shop(mkdtempSync(path.join(tmpdir(), 'fern-yard-')))
    copyShop(shop.data, clock, past ? 'years' : 'demo')
    return shop
  }

  private get clock(): string {
    return path.join(this.data, 'clock')
  }

  private environment(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      FERN_YARD_DATA: this.data,
      FERN_YARD_CLOCK: this.clock,
      NEXT_TELEMETRY_DISABLED: '1',
      // A server stands wherever it stands: what it says must hang on the shop's zone alone.
      TZ: 'America/St_Johns',
    }
  }

  /** Opens the shop at a moment; where it is open, its clock is set. It then runs on. */
  async open(clock: string): Promise<void> {
    if (this.isOpen() && this.openedAt === clock) return
    writeFileSync(this.clock, clock)
    this.openedAt = clock
    if (this.isOpen()) return
    // The same door after a restart: a tablet that was left open must find it again.
    this.port ??= await freePort()
    const { port } = this
    this.url = `http://127.0.0.1:${port}`
    this.server = spawn(
      path.join(ROOT, 'node_modules/.bin/next'),
      ['start', '-H', '127.0.0.1', '-p', String(port)],
      {
        cwd: ROOT,
        env: this.environment(),
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    )
    const deadline = Date.now() + START_TIMEOUT_MS
    while (Date.now() < deadline) {
      const answer = await fetch(this.url).catch(() => undefined)
      if (answer?.ok) return
      await new Promise((resolve) => setTimeout(resolve, KNOCK_MS))
    }
    throw new Error('the shop did not open')
  }

  private isOpen(): boolean {
    return this.server?.exitCode === null && this.server.signalCode === null
  }

  async close(): Promise<void> {
    const { server } = this
    if (!server || !this.isOpen()) return
    const ended = new Promise((resolve) => server.once('exit', resolve))
    server.kill('SIGTERM')
    // A tablet that goes on asking keeps a server that closes politely alive: then it is cut off, as by a power cut.
    const cut = setTimeout(() => server.kill('SIGKILL'), CLOSE_PATIENCE_MS)
    await ended
    clearTimeout(cut)
  }

  async remove(): Promise<void> {
    await this.close()
    rmSync(this.data, { recursive: true, force: true })
  }
}

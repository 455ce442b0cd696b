import { type ChildProcess, spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'

const ROOT = path.resolve(import.meta.dirname, '..')
const CLOSE_PATIENCE_MS = 300

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

/**
 * The built app, running. Shops move in one after another: to start it takes seconds, and it is faster once it is warm. Houses end
 * with the process that began them.
 */
export class House {
  private static readonly vacant: House[] = []
  private server: ChildProcess | undefined
  private readonly clock: string

  private constructor(
    home: string,
    private readonly port: number,
    private readonly env: Readonly<Record<string, string>> = {},
  ) {
    this.clock = path.join(home, 'clock')
    process.once('exit', () => {
      this.server?.kill('SIGKILL')
      rmSync(home, { recursive: true, force: true })
    })
  }

  /** A house nobody is in. */
  static async find(): Promise<House> {
    const home = () => mkdtempSync(path.join(tmpdir(), 'fern-yard-house-'))
    return House.vacant.pop() ?? new House(home(), await freePort())
  }

  /** A house of its own kind, which no other shop moves into. */
  static async apart(env: Readonly<Record<string, string>>): Promise<House> {
    return new House(mkdtempSync(path.join(tmpdir(), 'fern-yard-house-')), await freePort(), env)
  }

  get url(): string {
    return `${this.env.HTTPS === 'on' ? 'https' : 'http'}://127.0.0.1:${this.port}`
  }

  /** Whether somebody answers the door, at whichever of its two. */
  async answers(): Promise<boolean> {
    const answer = await fetch(this.url.replace(/^https/, 'http'), { redirect: 'manual' }).catch(
      () => undefined,
    )
    // Whoever is asked to sign in has reached it.
    return answer !== undefined && answer.status <= 401
  }

  get isOpen(): boolean {
    return this.server?.exitCode === null && this.server.signalCode === null
  }

  /** Sets the clock; it then runs on. */
  setClock(clock: string): void {
    writeFileSync(this.clock, clock)
  }

  /** Opens with the data of a shop. The same door after it was closed: a tablet that was left open must find it again. */
  async open(data: string): Promise<void> {
    if (this.isOpen) {
      const moved = once(this.server!, 'message')
      this.server!.send({ data })
      await moved
      return
    }
    this.server = spawn(
      process.execPath,
      ['--require', path.join(import.meta.dirname, 'moves.cjs'), path.join(ROOT, 'scripts/server.mjs')],
      {
        cwd: ROOT,
        env: {
          ...process.env,
          NODE_ENV: 'production',
          HOST: '127.0.0.1',
          FERN_YARD_NAMES: 'shop.test',
          FERN_YARD_PUBLIC_URL: this.url,
          FERN_YARD_BACKUPS: 'by-hand',
          PORT: String(this.port),
          FERN_YARD_DATA: data,
          FERN_YARD_CLOCK: this.clock,
          NEXT_TELEMETRY_DISABLED: '1',
          // A server stands wherever it stands: what it says must hang on the shop's zone alone.
          TZ: 'America/St_Johns',
          ...this.env,
        },
        stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      },
    )
    // Nobody waits for a house that stands open.
    this.server.unref()
    this.server.channel?.unref()
  }

  async close(): Promise<void> {
    const { server } = this
    if (!server || !this.isOpen) return
    const ended = once(server, 'exit')
    server.kill('SIGTERM')
    // A tablet that goes on asking keeps a server that closes politely alive: then it is cut off, as by a power cut.
    const cut = setTimeout(() => server.kill('SIGKILL'), CLOSE_PATIENCE_MS)
    await ended
    clearTimeout(cut)
  }

  /** As a power cut would: nothing is finished. */
  async kill(): Promise<void> {
    const { server } = this
    if (!server || !this.isOpen) return
    const ended = once(server, 'exit')
    server.kill('SIGKILL')
    await ended
  }

  /** Leaves it to the next shop. */
  async vacate(): Promise<void> {
    if (Object.keys(this.env).length > 0) await this.close()
    else House.vacant.push(this)
  }
}

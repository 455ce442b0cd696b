import path from 'node:path'
import { Worker } from 'node:worker_threads'
import { faultFacts, log } from '../log'

/** A thread that computes beside the one that answers pages; it is begun when it is first needed, and anew when it dies. */

/** Bundled by `scripts/threads.mjs` when the app is built. */
const ENTRY = '.threads/compute-thread.mjs'

type Waiting = { resolve: (value: unknown) => void; reject: (error: Error) => void }

/** Thrown to who waited for a thread that ended before it had answered. */
export class ThreadEnded extends Error {}

/** A task by its name among those of the thread’s entry, with plain data. */
export type Asked = { id: number; task: string; args: readonly unknown[] }
export type Told = { id: number; value: unknown } | { id: number; error: string }

export class ComputeThread {
  private worker: Worker | undefined
  private readonly waiting = new Map<number, Waiting>()
  private last = 0
  private patience: NodeJS.Timeout | undefined

  /** `patienceMs`: a thread that tells nothing for so long while somebody waits is ended, and begun anew by who asks next. */
  constructor(private readonly given: { patienceMs?: number } = {}) {}

  /** Runs a task in the thread. Rejects where the task throws or the thread dies. */
  ask(task: string, ...args: readonly unknown[]): Promise<unknown> {
    const id = ++this.last
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject })
      this.worker ??= this.begin()
      this.worker.ref()
      this.worker.postMessage({ id, task, args } satisfies Asked)
      if (this.waiting.size === 1) this.watch()
    })
  }

  private begin(): Worker {
    const entry = path.join(/* turbopackIgnore: true */ process.cwd(), ENTRY)
    const worker = new Worker(entry, {
      // The shop's clock counts from the start of the process, which a thread does not know.
      env: { ...process.env, FERN_YARD_STARTED: String(Math.round(performance.timeOrigin)) },
    })
    worker.on('message', (told: Told) => this.told(told))
    worker.on('error', (error) => log.error({ thread: 'compute', ...faultFacts(error) }))
    worker.on('exit', () => {
      if (this.worker === worker) this.worker = undefined
      for (const { reject } of this.waiting.values()) reject(new ThreadEnded())
      this.waiting.clear()
    })
    return worker
  }

  private watch(): void {
    clearTimeout(this.patience)
    const { patienceMs } = this.given
    if (patienceMs === undefined || this.waiting.size === 0) return
    this.patience = setTimeout(() => void this.worker?.terminate(), patienceMs)
    this.patience.unref()
  }

  private told(told: Told): void {
    const waiting = this.waiting.get(told.id)
    this.waiting.delete(told.id)
    if (this.waiting.size === 0) this.worker?.unref()
    this.watch()
    if ('error' in told) waiting?.reject(new Error(told.error))
    else waiting?.resolve(told.value)
  }
}

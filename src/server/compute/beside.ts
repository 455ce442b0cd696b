import path from 'node:path'

/** What computes beside the thread that answers pages; begun when it is first needed, and anew when it dies. */

/** A task by its name among those of the helper’s entry, with plain data. */
export type Asked = { id: number; task: string; args: readonly unknown[] }
export type Told = { id: number; value: unknown } | { id: number; error: string }

/** Thrown to who waited for a helper that ended before it had answered. */
export class BrokenOff extends Error {}

/** A thread or a process. */
export type Helper = {
  ask(asked: Asked): void
  /** Ends it, whatever it is at; resolves, where that can be known, once it is gone. */
  end(): unknown
  /** Whether the app waits for it before it ends. */
  hold(isNeeded: boolean): void
}
export type Hears = { told(told: Told): void; ended(): void }

/** Where `scripts/threads.mjs` puts the entry of a helper when the app is built. */
export const entryOf = (name: string) =>
  path.join(
    /* turbopackIgnore: true */ process.cwd(),
    process.env.FERN_YARD_THREADS ?? '.threads',
    `${name}.mjs`,
  )

/** The shop’s clock counts from the start of the app, which a helper does not know. */
export const helperEnvironment = () => ({
  ...process.env,
  FERN_YARD_STARTED: process.env.FERN_YARD_STARTED ?? String(Math.round(performance.timeOrigin)),
})

type Waiting = { resolve: (value: unknown) => void; reject: (error: Error) => void }

export class Beside {
  private helper: Helper | undefined
  private readonly waiting = new Map<number, Waiting>()
  private last = 0
  private patience: NodeJS.Timeout | undefined

  /** `patienceMs`: a helper that tells nothing for so long while somebody waits is ended, and begun anew by who asks next. */
  constructor(
    private readonly begin: (hears: Hears) => Helper,
    private readonly given: { patienceMs?: number } = {},
  ) {}

  /** Has a task done. Rejects where the task throws or the helper dies. */
  ask(task: string, ...args: readonly unknown[]): Promise<unknown> {
    const id = ++this.last
    return new Promise((resolve, reject) => {
      this.helper ??= this.begun()
      this.waiting.set(id, { resolve, reject })
      this.helper.hold(true)
      this.helper.ask({ id, task, args })
      if (this.waiting.size === 1) this.watch()
    })
  }

  private begun(): Helper {
    const helper = this.begin({
      told: (told) => this.told(told),
      ended: () => {
        if (this.helper !== helper) return
        this.helper = undefined
        for (const { reject } of this.waiting.values()) reject(new BrokenOff())
        this.waiting.clear()
      },
    })
    return helper
  }

  private watch(): void {
    clearTimeout(this.patience)
    const { patienceMs } = this.given
    if (patienceMs === undefined || this.waiting.size === 0) return
    this.patience = setTimeout(() => void this.helper?.end(), patienceMs)
    this.patience.unref()
  }

  private told(told: Told): void {
    const waiting = this.waiting.get(told.id)
    this.waiting.delete(told.id)
    if (this.waiting.size === 0) this.helper?.hold(false)
    this.watch()
    if ('error' in told) waiting?.reject(new Error(told.error))
    else waiting?.resolve(told.value)
  }
}

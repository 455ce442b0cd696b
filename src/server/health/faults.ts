/** The latest faults, for the owner to read: what was tried, never what was typed. They are forgotten when the server ends. */

export type Fault = {
  atMs: number
  /** `action`, `round`, `thread` or `request`, and which of them. */
  what: string
  which: string
}

const KEPT = 20

const shared = globalThis as unknown as { fernYardFaults?: Fault[] }

const KINDS = ['action', 'round', 'thread', 'request'] as const

/** Notes a line of the log that tells of a fault. */
export function noteFault(line: unknown): void {
  if (typeof line !== 'object' || line === null) return
  const told = line as Record<string, unknown>
  const what = KINDS.find((kind) => typeof told[kind] === 'string')
  if (!what) return
  shared.fernYardFaults = [
    { atMs: Date.now(), what, which: String(told[what]) },
    ...(shared.fernYardFaults ?? []),
  ].slice(0, KEPT)
}

export const latestFaults = (): readonly Fault[] => shared.fernYardFaults ?? []

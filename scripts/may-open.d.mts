export function isLoopback(host: string): boolean
export function mayNotOpen(asked: {
  folder: string
  host: string
  steps: readonly string[]
  isNew?: boolean
}): string | undefined
export function servedBy(folder: string): number | undefined
export function leaveFolder(folder: string): void

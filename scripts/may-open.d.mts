export function isLoopback(host: string): boolean
export function wrongPublicUrl(text: string | undefined): string | undefined
export function wrongSecret(file: string | undefined): string | undefined
export function mayNotOpen(asked: {
  folder: string
  host: string
  /** The proxies that are believed, as they are set. */
  proxies?: string | undefined
  steps: readonly string[]
  isNew?: boolean
}): string | undefined
export function servedBy(folder: string): number | undefined
export function leaveFolder(folder: string): void

import type { RequestListener, Server } from 'node:http'
import type { Server as Door } from 'node:net'

/** Milliseconds; whether a request is too slow is looked at once in `connectionsCheckingInterval`. */
export type Limits = {
  headersTimeout: number
  requestTimeout: number
  keepAliveTimeout: number
  connectionsCheckingInterval?: number
}
export function proxiesOf(text?: string): ReadonlySet<string>
export function tellWhence(
  request: {
    headers: Record<string, string | string[] | undefined>
    socket: { remoteAddress?: string; encrypted?: boolean }
  },
  proxies: ReadonlySet<string>,
): void
export function plainDoor(limits: Limits, answer: RequestListener): Server
export function secureDoor(
  made: { key: string; cert: string },
  limits: Limits,
  listeners: { answer: RequestListener; lead: RequestListener },
): Pick<Door, 'on' | 'once' | 'listen' | 'close'> & {
  renew: (made: { key: string; cert: string }) => void
  closeIdleConnections: () => void
}
export function renewed(
  door: { renew: (made: { key: string; cert: string }) => void },
  certified: () => Promise<{ key: string; cert: string }>,
  say: (text: string) => void,
): Promise<void>

import { isIP } from 'node:net'
import { hostname } from 'node:os'

/**
 * Under which names the shop answers. A name that somebody else has pointed here is none of them: a page of theirs would otherwise read the
 * shop through the browser of whoever opened it (DNS rebinding). An address in figures cannot be pointed anywhere.
 */

export type Addresses = {
  /** Names the shop's own network knows it by. */
  names: ReadonlySet<string>
  /** Where owners of cars reach it, such as `https://cars.shop.example`; nothing but their pages is answered there. */
  publicUrl?: URL
}

/** Names written one after another. */
export const listed = (text: string | undefined) =>
  (text ?? '')
    .split(/[\s,]+/)
    .map((name) => name.trim().toLowerCase())
    .filter((name) => name !== '')

function publicUrlOf(text: string | undefined): URL | undefined {
  if (!text || !URL.canParse(text)) return undefined
  const url = new URL(text)
  return ['http:', 'https:'].includes(url.protocol) ? url : undefined
}

/** From the environment: `FERN_YARD_NAMES` holds further names, `FERN_YARD_PUBLIC_URL` where owners of cars reach the shop. */
export function addressesOf(env: Readonly<Record<string, string | undefined>>): Addresses {
  const machine = hostname().toLowerCase()
  const publicUrl = publicUrlOf(env.FERN_YARD_PUBLIC_URL)
  return {
    names: new Set([
      'localhost',
      machine,
      `${machine}.local`,
      ...listed(env.FERN_YARD_NAMES),
      ...listed(env.HOST),
    ]),
    ...(publicUrl ? { publicUrl } : {}),
  }
}

/** The name a request asks for, without its port, small; nothing where it cannot be read. */
export function nameOf(host: string | null): string | undefined {
  if (!host || !/^(\[[0-9a-f:.]+\]|[a-z0-9._-]+)(:\d{1,5})?$/i.test(host)) return undefined
  return host.replace(/:\d+$/, '').toLowerCase()
}

export type Door = 'shop' | 'owners' | 'none'

const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]']

/** Whether a request asks for the machine it was made on. */
export const isThisMachine = (host: string | null) => OWN_NAMES.includes(nameOf(host) ?? '')

/** Which door a request knocks at, by the host it asks for. */
export function doorOf(host: string | null, { names, publicUrl }: Addresses): Door {
  const name = nameOf(host)
  if (name === undefined) return 'none'
  // Who tries the pages of owners on the machine itself is still in the shop.
  if (isThisMachine(host)) return 'shop'
  if (publicUrl && host!.toLowerCase() === publicUrl.host) return 'owners'
  const isFigures = isIP(name.replace(/^\[|\]$/g, '')) !== 0
  return isFigures || names.has(name) ? 'shop' : 'none'
}

/** Paths of the pages that owners of cars and subcontractors are given, and what those are made of. */
const OWNERS = /^\/(o\/[^/]+(\/(ask|care\.ics|photos\/[^/]+))?|(g|with)\/[^/]+|icon\.svg|_next\/static\/.+)$/

/** Whether a path is one an owner of a car may ask for; dots that climb are none. */
export const isForOwners = (path: string) => OWNERS.test(path) && !/(^|\/)\.{1,2}(\/|$)/.test(path)

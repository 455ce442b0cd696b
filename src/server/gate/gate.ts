import { dutyOf, mayDo, type PagePattern, patternOf, type Refused } from '@/core/staff'
import type { Caller } from '../action/caller'
import { type Addresses, doorOf, isForOwners, isThisMachine } from './address'

/** Whether a request is let in, before anything of it is read. */

export type Knock = {
  method: string
  path: string
  host: string | null
  origin: string | null
  /** What a browser says of where the request comes from. */
  site: string | null
  /** Whether it would run an action. */
  isAction: boolean
  /** Whether a proxy or a tunnel passed it on. */
  isPassedOn: boolean
}

export type Verdict =
  | { kind: 'in' }
  /** Nobody is signed in who might: a page leads to where one does. */
  | { kind: 'sign-in' }
  | { kind: 'not-yours' }
  | { kind: 'too-often'; seconds: number }
  | { kind: 'refused'; status: 403 | 404 | 405 | 421; why: Refused }

const STATUS = {
  'no-such-host': 421,
  'no-such-method': 405,
  'not-own-page': 403,
  'nothing-done-here': 403,
  'nothing-here': 404,
  'nobody-signs-in': 403,
} as const satisfies Record<Refused, number>

const refused = (why: Refused): Verdict => ({ kind: 'refused', status: STATUS[why], why })

const READS = ['GET', 'HEAD']

/** Files as they lie there: nothing is ever sent to one. */
const FILES: readonly (PagePattern | undefined)[] = [
  '/sw.js',
  '/icon.svg',
  '/icons/*',
  '/manifest.webmanifest',
  '/_next/static/*',
]

/** Whether a write comes from a page of the shop itself. Browsers say so of every write. */
function isOwnPage({ origin, site, host }: Knock): boolean {
  if (site && site !== 'same-origin') return false
  return origin !== null && URL.canParse(origin) && new URL(origin).host === host?.toLowerCase()
}

/** What can be said of a request without knowing who asks; nothing where that matters. */
export function atTheDoor(knock: Knock, addresses: Addresses): Verdict | undefined {
  const { method, path, host, isAction } = knock
  const door = doorOf(host, addresses)
  if (door === 'none') return refused('no-such-host')
  const isRead = READS.includes(method)
  if (!isRead && method !== 'POST') return refused('no-such-method')
  if (!isRead && !isOwnPage(knock)) return refused('not-own-page')
  const isOwners = /^\/(o|g|with)\//.test(path)
  // From the pages of owners no action of the shop can be called, whatever a request carries: all they take is a wish, by a route of its own.
  const isOutside = isOwners || door === 'owners' || patternOf(path)?.startsWith('/_next')
  if (isAction && isOutside) return refused('nothing-done-here')
  if (!isRead && FILES.includes(patternOf(path))) return refused('no-such-method')
  if (door === 'owners' && !isForOwners(path)) return refused('nothing-here')
  return dutyOf(path) === 'anybody' ? { kind: 'in' } : undefined
}

/**
 * Whether whoever asks may have what is at this path. Where nobody can sign in yet, `isOpen`, whoever is at the machine itself is the owner, and
 * nobody else is answered: not through a proxy on it either.
 */
export function onceKnown({ path, host, isPassedOn }: Knock, { role }: Caller, isOpen: boolean): Verdict {
  if (isOpen && (isPassedOn || !isThisMachine(host))) return refused('nobody-signs-in')
  if (mayDo(role, dutyOf(path))) return { kind: 'in' }
  return role === 'stranger' ? { kind: 'sign-in' } : { kind: 'not-yours' }
}

import type { Knex } from 'knex'
import { cookies, headers } from 'next/headers'
import { toPersonId } from '@/core/ids'
import type { Instant } from '@/core/time'
import { type Caller, OPEN_SHOP, STRANGER } from '../action/caller'
import { now } from '../clock'
import { database } from '../db/connection'
import { addressesOf } from '../gate/address'
import { isSetUp } from './accounts'
import { deviceOfToken } from './paired-devices'
import { type Session, sessionOf } from './sessions'

/** What a browser shows to be known by. On https the name itself keeps other hosts from setting it. */
export const cookieNames = (isSecure: boolean) =>
  isSecure
    ? { session: '__Host-fern-session', device: '__Host-fern-device' }
    : { session: 'fern-session', device: 'fern-device' }

export type Shown = { session?: string | undefined; device?: string | undefined }

/** Who a browser belongs to, by what it shows. Where nobody has been set up to sign in, whoever is there is the owner. */
export async function whoShows(
  db: Knex,
  { session: token, device: deviceToken }: Shown,
  at: Instant,
): Promise<{ caller: Caller; session?: Session; isOpen?: true }> {
  if (!(await isSetUp(db))) return { caller: OPEN_SHOP, isOpen: true }
  const session = token ? await sessionOf(db, token, at) : undefined
  const device = deviceToken ? await deviceOfToken(db, deviceToken) : undefined
  const paired = device ? { paired: device.id } : {}
  // A session begun by PIN on a device of the shop is worth nothing elsewhere.
  const isHere = session && (!session.device || session.device === device?.id)
  if (!session || !isHere) return { caller: { ...STRANGER, ...paired } }
  if (session.state !== 'open') {
    const locked = session.state === 'locked' ? { locked: session.id } : {}
    return { caller: { ...STRANGER, ...paired, ...locked }, session }
  }
  return {
    session,
    caller: {
      role: session.role,
      account: session.account,
      name: session.name,
      session: session.id,
      ...(session.person ? { person: toPersonId(session.person) } : {}),
      ...paired,
    },
  }
}

/** The names of this request's cookies, and whether the shop is reached over https, by its own door or by one before it. */
export async function cookieNamesNow() {
  const isSecure = (await headers()).get('x-forwarded-proto') === 'https'
  return { isSecure, names: cookieNames(isSecure) }
}

/** What the browser of this request shows. */
export async function shownNow(): Promise<Shown> {
  const { names } = await cookieNamesNow()
  const jar = await cookies()
  return { session: jar.get(names.session)?.value, device: jar.get(names.device)?.value }
}

/** Who asks, in an action or a page. */
export async function callerNow(): Promise<Caller> {
  const head = await headers()
  const { caller } = await whoShows(await database(), await shownNow(), now())
  const queueOf = head.get('x-fern-device')
  const peer = head.get('x-fern-peer')
  const { publicUrl } = addressesOf(process.env)
  return {
    ...caller,
    ...(publicUrl ? { address: publicUrl.origin } : {}),
    ...(peer ? { peer } : {}),
    ...(queueOf && queueOf.length <= 64 ? { device: queueOf } : {}),
  }
}

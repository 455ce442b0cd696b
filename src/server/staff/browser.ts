import { cookies } from 'next/headers'
import { cookieNamesNow } from './caller-now'

/** What a browser keeps to be known by: never to be read by a page, nor sent to another site’s. */

const DAY_SECONDS = 24 * 3600
/** As long as browsers keep a cookie at most: a tablet on the wall stays one of the shop’s. */
const DEVICE_DAYS = 400

export type Kept = 'session' | 'device'

export async function keepInBrowser(what: Kept, token: string): Promise<void> {
  const { isSecure, names: of } = await cookieNamesNow()
  const jar = await cookies()
  jar.set(of[what], token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isSecure,
    path: '/',
    maxAge: DAY_SECONDS * (what === 'device' ? DEVICE_DAYS : 1),
  })
}

export async function forgetInBrowser(what: Kept): Promise<void> {
  const { names: of } = await cookieNamesNow()
  const jar = await cookies()
  jar.delete({ name: of[what], path: '/' })
}

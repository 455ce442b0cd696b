import { randomUUID } from 'node:crypto'
import { perform } from '@/server/action/perform'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { forgetInBrowser } from '@/server/staff/browser'
import { callerNow } from '@/server/staff/caller-now'
import { signingOut } from '@/server/staff/sign-in'

/** Signs out whoever asks, from a form that needs no script, and leads to the door. */
export async function POST() {
  const call = { key: randomUUID(), input: null }
  await perform(await writer(), signingOut, call, { caller: await callerNow(), at: now() })
  await forgetInBrowser('session')
  return new Response(null, { status: 303, headers: { location: '/sign-in' } })
}

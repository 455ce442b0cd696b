import { now } from '@/server/clock'
import { database, writer } from '@/server/db/connection'
import { loadFloor } from '@/server/floor/floor'
import { feedOf, noteRead } from '@/server/planning/feed-links'
import { feed } from '@/server/planning/feeds'
import { NO_SUCH_CALENDAR } from '@/text/en/feeds'

/** A calendar to subscribe to, by an address that was made for it: of a person, a bay, or the whole shop. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const db = await database()
  const at = now()
  const found = await feedOf(db, token)
  const text = found && feed(await loadFloor(db, at), found.kind, found.of)
  // The same words for an address that never was and one that was revoked.
  if (!found || text === undefined) return new Response(NO_SUCH_CALENDAR, { status: 404 })
  await noteRead(await writer(), found.hash, at)
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `inline; filename="${found.kind}.ics"`,
      'cache-control': 'private, no-store',
    },
  })
}

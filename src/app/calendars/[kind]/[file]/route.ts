import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadFloor } from '@/server/floor/floor'
import { feed } from '@/server/planning/feeds'

/** A calendar to subscribe to: `/calendars/people/ID.ics`, `/calendars/bays/ID.ics`, `/calendars/shop/all.ics`. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ kind: string; file: string }> },
) {
  const { kind, file } = await params
  const floor = await loadFloor(await database(), now())
  const text = feed(floor, kind, file.replace(/\.ics$/, ''))
  if (text === undefined)
    return new Response('There is no such person, bay or calendar here.', { status: 404 })
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `inline; filename="${kind}-${file.replace(/[^a-z0-9.-]+/gi, '-')}"`,
    },
  })
}

import { revalidatePath } from 'next/cache'
import type { z } from 'zod'
import { orNoRoom } from '@/app/or-no-room'
import { MOST_PHOTO_BYTES } from '@/core/photo/most-bytes'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { bodyOf } from '@/server/queue/body'
import { Places } from '@/server/queue/places'
import { photoQuery, receivePhoto } from '@/server/queue/receive-photo'
import { callerNow } from '@/server/staff/caller-now'

/** Each is in memory while it waits to be decoded: eight of the largest are a quarter of a gigabyte. */
const places = new Places(8)

/** Takes one photograph from a tablet’s queue; the picture itself is the body. */
export async function POST(request: Request) {
  const query = photoQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!query.success) return Response.json({ message: query.error.issues[0]!.message }, { status: 400 })
  const leave = places.take()
  if (!leave)
    return Response.json(
      { message: 'Many photographs arrive just now.' },
      { status: 503, headers: { 'retry-after': '5' } },
    )
  try {
    return await orNoRoom(() => taken(request, query.data))
  } finally {
    leave()
  }
}

async function taken(request: Request, query: z.infer<typeof photoQuery>): Promise<Response> {
  // A picture that is too large is refused in its turn, so that nothing waits behind it.
  const bytes = await bodyOf(request, MOST_PHOTO_BYTES)
  const outcome = await receivePhoto(await writer(), query, bytes, now(), await callerNow())
  revalidatePath('/', 'layout')
  return Response.json({ ...outcome, now: now() }, { headers: { 'cache-control': 'no-store' } })
}

import { revalidatePath } from 'next/cache'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { MOST_BYTES } from '@/server/photos/photo-files'
import { bodyOf } from '@/server/queue/body'
import { photoQuery, receivePhoto } from '@/server/queue/receive-photo'
import { callerNow } from '@/server/staff/caller-now'

/** Takes one photograph from a tablet’s queue; the picture itself is the body. */
export async function POST(request: Request) {
  const query = photoQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!query.success) return Response.json({ message: query.error.issues[0]!.message }, { status: 400 })
  // A picture that is too large is refused in its turn, so that nothing waits behind it.
  const bytes = await bodyOf(request, MOST_BYTES)
  const taken = await receivePhoto(await writer(), query.data, bytes, now(), await callerNow())
  revalidatePath('/', 'layout')
  return Response.json({ ...taken, now: now() }, { headers: { 'cache-control': 'no-store' } })
}

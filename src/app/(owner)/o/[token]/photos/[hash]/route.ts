import { mayShowPhoto } from '@/server/aftercare/owner-page'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { readPhoto } from '@/server/photos/photo-files'

/** A photograph that stands on an owner's page; any other is not there. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string; hash: string }> },
) {
  const { token, hash } = await params
  const missing = () => new Response('There is no such photograph.', { status: 404 })
  if (!(await mayShowPhoto(await database(), token, hash, now()))) return missing()
  const small = new URL(request.url).searchParams.get('size') === 'thumb'
  const bytes = await readPhoto(hash, small ? 'thumb' : 'full')
  return bytes
    ? new Response(new Uint8Array(bytes), {
        headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=3600' },
      })
    : missing()
}

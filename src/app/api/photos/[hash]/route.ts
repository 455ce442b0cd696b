import { database } from '@/server/db/connection'
import { readPhoto } from '@/server/photos/photo-files'
import { isInSight } from '@/server/photos/photo-store'

/** Days. What is in it never changes; but it may be taken out of sight. */
const KEPT_SECONDS = 7 * 24 * 3600

/** A photograph by the hash of what is in it, whole or small. */
export async function GET(request: Request, { params }: { params: Promise<{ hash: string }> }) {
  const { hash } = await params
  const small = new URL(request.url).searchParams.get('size') === 'thumb'
  const isThere = await isInSight(await database(), hash)
  const bytes = isThere ? await readPhoto(hash, small ? 'thumb' : 'full') : undefined
  if (!bytes) return new Response('There is no such photograph.', { status: 404 })
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': `private, max-age=${KEPT_SECONDS}, immutable` },
  })
}

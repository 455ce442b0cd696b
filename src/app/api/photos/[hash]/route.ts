import { readPhoto } from '@/server/photos/photo-files'

/** A photograph by the hash of what is in it, whole or small. It never changes, so it is kept for good. */
export async function GET(request: Request, { params }: { params: Promise<{ hash: string }> }) {
  const { hash } = await params
  const small = new URL(request.url).searchParams.get('size') === 'thumb'
  const bytes = await readPhoto(hash, small ? 'thumb' : 'full')
  if (!bytes) return new Response('There is no such photograph.', { status: 404 })
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  })
}

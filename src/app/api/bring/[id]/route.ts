import { setDown } from '@/server/bring/bring-store'
import { listId, MOST_PIECE_BYTES, pieceSchema } from '@/server/bring/rows'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'
import { bodyOf } from '@/server/queue/body'

const refused = (status: number, message: string) => Response.json({ message }, { status })

/** Sets down a piece of a list from elsewhere; nothing of it counts until the list is taken over. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = listId.safeParse((await params).id)
  const body = id.success ? await bodyOf(request, MOST_PIECE_BYTES) : undefined
  if (!id.success || !body) return refused(413, 'This is more than one piece of a list may hold.')
  let piece: unknown
  try {
    piece = JSON.parse(body.toString('utf8'))
  } catch {
    return refused(400, 'This is no piece of a list.')
  }
  const read = pieceSchema.safeParse(piece)
  if (!read.success) {
    const [issue] = read.error.issues
    return refused(400, `${issue!.path.join('.')}: ${issue!.message}`)
  }
  const { name, entries } = read.data
  const db = await writer()
  const became = await db.transaction((trx) => setDown(trx, { id: id.data, name }, entries, now()))
  return became === 'taken'
    ? refused(409, 'This list has been brought already. Reload the page.')
    : Response.json({ rows: entries.length }, { headers: { 'cache-control': 'no-store' } })
}

import { requestCard } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { revision } from '@/server/db/revision'

/** The card of a job as it stands now, for a tablet that looks again; nothing is read where it has that already. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const db = await database()
  const etag = `"${await revision(db, now())}"`
  const headers = { 'cache-control': 'no-store', etag }
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers })
  const view = (await requestCard(toJobId((await params).id)))?.view
  if (!view) return Response.json({ message: 'There is no card for this job.' }, { status: 404 })
  return Response.json(view, { headers })
}

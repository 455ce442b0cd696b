import { requestJob } from '@/app/request-floor'
import { database } from '@/server/db/connection'
import { loadCardView } from '@/server/work/card'

/** The card of a job as it stands now, for a tablet that looks again. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { floor, entry } = await requestJob((await params).id)
  const view = entry && (await loadCardView(await database(), floor, entry))
  if (!view) return Response.json({ message: 'There is no card for this job.' }, { status: 404 })
  return Response.json(view, { headers: { 'cache-control': 'no-store' } })
}

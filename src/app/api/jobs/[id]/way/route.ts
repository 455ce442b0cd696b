import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { database } from '@/server/db/connection'
import { jobWay } from '@/server/floor/way-facts'

/** How far a job has come: asked again by the row of its pages whenever one walks on to another. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { floor, entry } = await requestJob(toJobId((await params).id))
  if (!entry) return new Response('There is no such job.', { status: 404 })
  const way = await jobWay(await database(), entry, floor.now)
  return Response.json(way ?? {}, { headers: { 'cache-control': 'no-store' } })
}

import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { VisitScreen } from '@/features/aftercare/visit-screen'
import { loadVisit } from '@/server/aftercare/visit'
import { database } from '@/server/db/connection'

export default async function VisitPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (entry?.job.kind !== 'visit') notFound()
  const visit = await loadVisit(await database(), floor.shop, entry.job, floor.now)
  return <VisitScreen entry={entry} visit={visit} shop={floor.shop} now={floor.now} />
}

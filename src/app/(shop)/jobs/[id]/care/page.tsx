import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { CareScreen } from '@/features/care/care-screen'
import { loadCare } from '@/server/aftercare/care'
import { database } from '@/server/db/connection'

export default async function CarePage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  return (
    <CareScreen
      entry={entry}
      care={await loadCare(await database(), floor.shop, id)}
      shop={floor.shop}
      now={floor.now}
    />
  )
}

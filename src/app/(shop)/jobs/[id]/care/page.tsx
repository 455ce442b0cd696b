import { notFound } from 'next/navigation'
import { requestJob, requestRevision } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { CareScreen } from '@/features/care/care-screen'
import { Live } from '@/features/frame/live'
import { loadCare } from '@/server/aftercare/care'
import { database } from '@/server/db/connection'
import { goingOut } from '@/server/handover/going-out'

export default async function CarePage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const care = await loadCare(await database(), floor.shop, id, floor.now)
  return (
    <>
      <Live since={await requestRevision()} />
      <CareScreen
        entry={entry}
        care={care}
        out={entry.job.handedOverAt ? undefined : goingOut(floor, entry, care)}
        shop={floor.shop}
        now={floor.now}
      />
    </>
  )
}

import { notFound } from 'next/navigation'
import { requestJob, requestRevision } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { Live } from '@/features/frame/live'
import { HandoverSheet } from '@/features/handover/handover-sheet'
import { handoverPaper } from '@/features/handover/paper'
import { database } from '@/server/db/connection'
import { loadHandover } from '@/server/handover/handover'

export default async function HandoverSheetPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  const handover = entry && (await loadHandover(await database(), floor, entry))
  if (!entry || !handover) notFound()
  return (
    <>
      <Live since={await requestRevision()} />
      <HandoverSheet
        entry={entry}
        paper={handoverPaper(entry, handover, floor.shop, floor.now)}
        region={floor.shop.setup.region}
        now={floor.now}
      />
    </>
  )
}

import { notFound } from 'next/navigation'
import { HandoverSheet } from '@/features/care/handover-sheet'
import { loadCare } from '@/server/care'
import { database } from '@/server/db'
import { requestJob } from '@/server/request-floor'

export default async function HandoverSheetPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  return (
    <HandoverSheet
      entry={entry}
      care={await loadCare(await database(), floor.shop, id)}
      shop={floor.shop}
      now={floor.now}
    />
  )
}

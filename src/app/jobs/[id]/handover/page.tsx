import { notFound } from 'next/navigation'
import { HandoverSheet } from '@/features/care/handover-sheet'
import { loadCare } from '@/server/care'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'

export default async function HandoverSheetPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const db = await database()
  const floor = await loadFloor(db, now())
  const entry = floor.jobs.find(({ job }) => job.id === id)
  if (!entry) notFound()
  return (
    <HandoverSheet
      entry={entry}
      care={await loadCare(db, floor.shop, id)}
      shop={floor.shop}
      now={floor.now}
    />
  )
}

import { notFound } from 'next/navigation'
import { CareScreen } from '@/features/care/care-screen'
import { loadCare } from '@/server/care'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'

export default async function CarePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const db = await database()
  const floor = await loadFloor(db, now())
  const entry = floor.jobs.find(({ job }) => job.id === id)
  if (!entry) notFound()
  return (
    <CareScreen entry={entry} care={await loadCare(db, floor.shop, id)} shop={floor.shop} now={floor.now} />
  )
}

import { notFound } from 'next/navigation'
import { JobSchedule } from '@/features/schedule/job-schedule'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'
import { whyNotEarlier } from '@/server/offers'

export default async function JobSchedulePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const floor = await loadFloor(await database(), now())
  const entry = floor.jobs.find(({ job }) => job.id === id)
  if (!entry) notFound()
  const chain = entry.live ? whyNotEarlier(floor, id) : undefined
  return <JobSchedule entry={entry} chain={chain} setup={floor.shop.setup} now={floor.now} />
}

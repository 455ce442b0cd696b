import { notFound } from 'next/navigation'
import { JobSchedule } from '@/features/schedule/job-schedule'
import { requestJob } from '@/server/floor/request-floor'
import { whyNotEarlier } from '@/server/quotes/offers'

export default async function JobSchedulePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const chain = entry.live ? whyNotEarlier(floor, id) : undefined
  return <JobSchedule entry={entry} chain={chain} setup={floor.shop.setup} now={floor.now} />
}

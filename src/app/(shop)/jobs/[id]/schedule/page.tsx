import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { JobSchedule } from '@/features/schedule/job-schedule'
import { whyNotEarlier } from '@/server/quotes/offers'

export default async function JobSchedulePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const chain = entry.live ? whyNotEarlier(floor, id) : undefined
  return <JobSchedule entry={entry} chain={chain} setup={floor.shop.setup} now={floor.now} />
}

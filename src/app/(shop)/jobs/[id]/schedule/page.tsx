import { notFound } from 'next/navigation'
import { RecordChanges } from '@/app/record-changes'
import { requestJob, requestRevision } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { Live } from '@/features/frame/live'
import { hoursOf } from '@/features/schedule/blocks'
import { JobSchedule } from '@/features/schedule/job-schedule'
import { compute } from '@/server/compute/compute'

export default async function JobSchedulePage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const chain = entry.live ? await compute('why-not-earlier', floor.now, id) : undefined
  const since = await requestRevision()
  return (
    <>
      <Live since={since} />
      <JobSchedule
        entry={entry}
        chain={chain}
        setup={floor.shop.setup}
        hours={hoursOf(floor)}
        since={since}
        now={floor.now}
      />
      <RecordChanges
        width="full"
        of={[
          { of: 'published', key: id },
          { of: 'agreements', key: id },
        ]}
      />
    </>
  )
}

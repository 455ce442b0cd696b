import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { requestFloor, requestRevision } from '@/app/request-floor'
import { dayIn, isLocalDay } from '@/core/time'
import { Live } from '@/features/frame/live'
import { ShopSchedule } from '@/features/schedule/shop-schedule'
import { isSpan } from '@/features/schedule/timeline'
import { database } from '@/server/db/connection'
import { fingerprint } from '@/server/planning/fingerprint'
import { moveHistory } from '@/server/planning/moving'

export const metadata: Metadata = { title: 'Schedule' }

type Props = { searchParams: Promise<Record<string, string | string[] | undefined>> }

export default async function SchedulePage({ searchParams }: Props) {
  const since = await requestRevision()
  const [floor, { span, from, car }] = [await requestFloor(), await searchParams]
  const history = await moveHistory(await database())
  const today = dayIn(floor.shop.setup.region.timezone, floor.now)
  return (
    <>
      <Live since={since} />
      <ShopSchedule
        floor={floor}
        basis={fingerprint(floor)}
        history={history}
        span={isSpan(span) ? span : 'fortnight'}
        from={typeof from === 'string' && isLocalDay(from) ? from : today}
        car={floor.jobs.find(({ job }) => job.id === car)?.job.id}
      />
      <RecordChanges width="full" of={[{ of: 'holds' }, { of: 'outages' }]} />
    </>
  )
}

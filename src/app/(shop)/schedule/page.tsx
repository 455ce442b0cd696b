import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
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

export default async function SchedulePage({ searchParams }: { searchParams: Search }) {
  const since = await requestRevision()
  const floor = await requestFloor()
  const { span, from, car } = await askedOnce<'span' | 'from' | 'car'>(searchParams)
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
        from={from && isLocalDay(from) ? from : today}
        car={floor.jobs.find(({ job }) => job.id === car)?.job.id}
      />
      <RecordChanges width="full" of={[{ of: 'holds' }, { of: 'outages' }]} />
    </>
  )
}

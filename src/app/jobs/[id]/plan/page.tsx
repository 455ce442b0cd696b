import { notFound } from 'next/navigation'
import { PlanScreen } from '@/features/plan/plan-screen'
import { database } from '@/server/db'
import { loadJudged } from '@/server/judged'
import { offerInput, offersFor } from '@/server/offers'
import { requestJob } from '@/server/request-floor'

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const { judgement } = await loadJudged(await database(), entry.job, floor.shop.setup)
  const offers = entry.agreement || !entry.surveyed ? [] : offersFor(floor, entry.job, judgement)
  return (
    <PlanScreen
      entry={entry}
      judgement={judgement}
      offers={offers}
      input={offerInput(floor.shop, entry.job, judgement)}
      setup={floor.shop.setup}
      now={floor.now}
    />
  )
}

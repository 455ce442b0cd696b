import { notFound } from 'next/navigation'
import { PlanScreen } from '@/features/plan/plan-screen'
import { database } from '@/server/db'
import { judgeVehicle, offersFor } from '@/server/offers'
import { requestJob } from '@/server/request-floor'
import { loadSurvey } from '@/server/survey-store'

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const survey = await loadSurvey(await database(), id)
  const judgement = judgeVehicle(entry.job, floor.shop.setup, survey)
  const offers = entry.agreement || judgement.read.panels === 0 ? [] : offersFor(floor, entry.job, survey)
  return (
    <PlanScreen
      entry={entry}
      judgement={judgement}
      offers={offers}
      setup={floor.shop.setup}
      now={floor.now}
    />
  )
}

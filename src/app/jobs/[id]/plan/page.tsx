import { notFound } from 'next/navigation'
import { PlanScreen } from '@/features/plan/plan-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'
import { judgeVehicle, offersFor } from '@/server/offers'
import { loadSurvey } from '@/server/survey-store'

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const db = await database()
  const floor = await loadFloor(db, now())
  const entry = floor.jobs.find(({ job }) => job.id === id)
  if (!entry) notFound()
  const survey = await loadSurvey(db, id)
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

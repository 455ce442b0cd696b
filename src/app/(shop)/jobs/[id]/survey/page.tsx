import { notFound } from 'next/navigation'
import { SurveyScreen } from '@/features/survey/survey-screen'
import { findAgreement } from '@/server/agreement-store'
import { database } from '@/server/db'
import { earlierVisits } from '@/server/history'
import { findJob } from '@/server/job-store'
import { ledgerBefore } from '@/server/ledger-store'
import { loadShop } from '@/server/shop-store'
import { loadSurvey } from '@/server/survey-store'

export default async function SurveyPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const db = await database()
  const job = await findJob(db, id)
  if (!job) notFound()
  const { setup } = await loadShop(db)
  return (
    <SurveyScreen
      jobId={id}
      vehicle={job.vehicle}
      school={setup.school}
      stored={await loadSurvey(db, id)}
      ledger={await ledgerBefore(db, job.vehicle.id, id)}
      earlier={await earlierVisits(db, job, setup.timezone)}
      agreed={(await findAgreement(db, id)) !== undefined}
      handedOver={job.handedOverAt !== undefined}
    />
  )
}

import { notFound } from 'next/navigation'
import { RecordChanges } from '@/app/record-changes'
import { toJobId } from '@/core/ids'
import { SurveyScreen } from '@/features/survey/survey-screen'
import { database } from '@/server/db/connection'
import { findJob } from '@/server/floor/job-store'
import { findAgreement } from '@/server/quotes/agreement-store'
import { loadShop } from '@/server/shop/shop-store'
import { loadSurvey } from '@/server/survey/survey-store'
import { earlierVisits } from '@/server/vehicles/earlier-visits'
import { ledgerBefore } from '@/server/vehicles/ledger-store'

export default async function SurveyPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const db = await database()
  const job = await findJob(db, id)
  if (!job) notFound()
  const { setup } = await loadShop(db)
  return (
    <>
      <SurveyScreen
        jobId={id}
        vehicle={job.vehicle}
        judging={{ school: setup.school, depths: setup.depths }}
        devices={setup.devices}
        stored={await loadSurvey(db, id)}
        ledger={await ledgerBefore(db, job.vehicle.id, id)}
        earlier={await earlierVisits(db, job, setup.region.timezone)}
        kind={job.kind}
        agreed={(await findAgreement(db, id)) !== undefined}
        handedOver={job.handedOverAt !== undefined}
      />
      <RecordChanges width="full" of={[{ of: 'surveys', key: id }]} />
    </>
  )
}

import { notFound } from 'next/navigation'
import { WalkScreen } from '@/features/walk/walk-screen'
import { findAgreement } from '@/server/agreement-store'
import { database } from '@/server/db'
import { findJob } from '@/server/job-store'
import { ledgerBefore } from '@/server/ledger-store'
import { listPhotos } from '@/server/photo-store'
import { loadShop } from '@/server/shop-store'
import { loadSurvey } from '@/server/survey-store'

export default async function WalkPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const db = await database()
  const job = await findJob(db, id)
  if (!job) notFound()
  const { setup } = await loadShop(db)
  return (
    <WalkScreen
      job={job}
      school={setup.school}
      stored={await loadSurvey(db, id)}
      ledger={await ledgerBefore(db, job.vehicle.id, id)}
      photos={await listPhotos(db, id)}
      agreed={(await findAgreement(db, id)) !== undefined}
    />
  )
}

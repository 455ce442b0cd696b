import { notFound } from 'next/navigation'
import { toJobId } from '@/core/ids'
import { agreementCloses } from '@/core/job'
import { asSeenBy } from '@/core/staff'
import { WalkScreen } from '@/features/walk/walk-screen'
import { database } from '@/server/db/connection'
import { findJob } from '@/server/floor/job-store'
import { listPhotos } from '@/server/photos/photo-store'
import { findAgreement } from '@/server/quotes/agreement-store'
import { loadShop } from '@/server/shop/shop-store'
import { eyesNow } from '@/server/staff/who-is-here'
import { loadSurvey } from '@/server/survey/survey-store'
import { ledgerBefore } from '@/server/vehicles/ledger-store'

export default async function WalkPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const db = await database()
  const job = await findJob(db, id)
  if (!job) notFound()
  const { setup } = await loadShop(db)
  return (
    <WalkScreen
      job={asSeenBy(await eyesNow(), job)}
      judging={{ school: setup.school, depths: setup.depths }}
      stored={await loadSurvey(db, id)}
      ledger={await ledgerBefore(db, job.vehicle.id, id)}
      photos={await listPhotos(db, id)}
      agreed={agreementCloses(job.kind) && (await findAgreement(db, id)) !== undefined}
    />
  )
}

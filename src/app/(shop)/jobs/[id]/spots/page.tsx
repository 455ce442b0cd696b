import { notFound } from 'next/navigation'
import { SpotsScreen } from '@/features/spots/spots-screen'
import { database } from '@/server/db'
import { loadJudged } from '@/server/judged'
import { loadPaintStudy } from '@/server/paint-memory'
import { listPhotos } from '@/server/photo-store'
import { requestJob } from '@/server/request-floor'
import { listAttempts } from '@/server/spot-store'

export default async function SpotsPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { setup } = floor.shop
  const { job } = entry
  const { judgement } = await loadJudged(db, job, setup)
  const study = await loadPaintStudy(db, job, setup)
  return (
    <SpotsScreen
      jobId={id}
      vehicle={job.vehicle}
      judgement={judgement}
      study={{ ...study, attempts: await listAttempts(db, id) }}
      photos={await listPhotos(db, id)}
      timezone={setup.timezone}
      now={floor.now}
      readOnly={job.handedOverAt !== undefined}
    />
  )
}

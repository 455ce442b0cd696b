import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { asSeenBy } from '@/core/staff'
import { SpotsScreen } from '@/features/spots/spots-screen'
import { database } from '@/server/db/connection'
import { listPhotos } from '@/server/photos/photo-store'
import { eyesNow } from '@/server/staff/who-is-here'
import { loadJudged } from '@/server/survey/judged'
import { loadPaintStudy } from '@/server/survey/paint-memory'
import { spotNews } from '@/server/survey/spot-news'
import { listAttempts } from '@/server/survey/spot-store'

export default async function SpotsPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { setup } = floor.shop
  const { job } = entry
  const { judgement } = await loadJudged(db, job, setup)
  const study = await loadPaintStudy(db, job, setup)
  const attempts = await listAttempts(db, id)
  const news = await spotNews(db, floor, entry, judgement, { ...study, attempts })
  return (
    <SpotsScreen
      jobId={id}
      vehicle={job.vehicle}
      judgement={judgement}
      study={{ ...study, attempts }}
      photos={await listPhotos(db, id)}
      now={floor.now}
      news={asSeenBy(await eyesNow(), news)}
      people={setup.people.map(({ id: person, name }) => ({ id: person, name }))}
      readOnly={job.handedOverAt !== undefined}
    />
  )
}

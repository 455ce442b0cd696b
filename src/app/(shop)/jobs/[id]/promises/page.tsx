import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { PromisesScreen } from '@/features/promises/promises-screen'
import { database } from '@/server/db/connection'
import { listPromises } from '@/server/survey/promise-store'
import { promisesOf } from '@/server/survey/promised'

export default async function PromisesPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { setup } = floor.shop
  return (
    <PromisesScreen
      job={entry.job}
      shopName={setup.name}
      now={floor.now}
      lines={await promisesOf(db, entry.job, setup)}
      signed={await listPromises(db, id)}
      surveyed={entry.surveyed}
    />
  )
}

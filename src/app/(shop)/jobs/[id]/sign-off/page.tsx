import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { asSeenBy } from '@/core/staff'
import { SignOffScreen } from '@/features/sign-off/sign-off-screen'
import { database } from '@/server/db/connection'
import { eyesNow } from '@/server/staff/who-is-here'
import { signedVersions } from '@/server/survey/sign-off-store'
import { linesToSign } from '@/server/survey/to-sign'

export default async function PromisesPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const { setup } = floor.shop
  return (
    <SignOffScreen
      job={asSeenBy(await eyesNow(), entry.job)}
      shopName={setup.name}
      now={floor.now}
      lines={await linesToSign(db, entry.job, setup)}
      signed={await signedVersions(db, id)}
      surveyed={entry.surveyed}
    />
  )
}

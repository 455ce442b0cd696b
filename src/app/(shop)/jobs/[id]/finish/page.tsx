import { notFound } from 'next/navigation'
import { RecordChanges } from '@/app/record-changes'
import { requestJob, requestRevision } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { asSeenBy, mayDo } from '@/core/staff'
import { Live } from '@/features/frame/live'
import { FinishScreen } from '@/features/handover/finish-screen'
import { database } from '@/server/db/connection'
import { loadHandover } from '@/server/handover/handover'
import { eyesNow, whoIsHere } from '@/server/staff/who-is-here'
import { ButtonLink } from '@/ui/button'

export default async function FinishPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const handover = await loadHandover(await database(), floor, entry)
  if (handover)
    return (
      <>
        <Live since={await requestRevision()} />
        <FinishScreen
          entry={entry}
          handover={asSeenBy(await eyesNow(), handover)}
          shop={floor.shop}
          now={floor.now}
          atDesk={mayDo((await whoIsHere()).role, 'desk')}
        />
        <RecordChanges
          width="full"
          of={['payments', 'private_links', 'photos'].map((of) => ({ of, key: id }))}
        />
      </>
    )
  return (
    <div className="mx-auto max-w-xl p-10 text-center">
      <h1 className="text-2xl">Nothing to hand over yet</h1>
      <p className="my-4">Agree a package and finish the work first.</p>
      <ButtonLink href={`/jobs/${id}/plan`}>Choose a package</ButtonLink>
    </div>
  )
}

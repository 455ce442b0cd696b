import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { CardScreen } from '@/features/work/card-screen'
import { database } from '@/server/db/connection'
import { loadCardView } from '@/server/work/card'
import { ButtonLink } from '@/ui/button'

export default async function WorkPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const view = await loadCardView(await database(), floor, entry)
  if (view) return <CardScreen fromShop={view} />
  return (
    <div className="mx-auto max-w-xl p-10 text-center">
      <h1 className="text-2xl">No job card yet</h1>
      <p className="my-4">The card is written when a package is agreed.</p>
      <ButtonLink href={`/jobs/${id}/plan`}>To the packages</ButtonLink>
    </div>
  )
}

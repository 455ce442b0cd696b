import { notFound } from 'next/navigation'
import { requestCard } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { CardScreen } from '@/features/work/card-screen'
import { ButtonLink } from '@/ui/button'

export default async function WorkPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const card = await requestCard(id)
  if (!card) notFound()
  if (card.view) return <CardScreen fromShop={card.view} />
  return (
    <div className="mx-auto max-w-xl p-10 text-center">
      <h1 className="text-2xl">No job card yet</h1>
      <p className="my-4">The job card appears once a package is agreed.</p>
      <ButtonLink href={`/jobs/${id}/plan`}>Choose a package</ButtonLink>
    </div>
  )
}

import { notFound } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { stepStates } from '@/core/job'
import { beginChoices, changeBegins } from '@/features/quote/begin'
import { QuoteScreen } from '@/features/quote/quote-screen'
import { database } from '@/server/db/connection'
import { loadWorked } from '@/server/quotes/offers'
import { listQuotes } from '@/server/quotes/quote-store'
import { ButtonLink } from '@/ui/button'

type Props = {
  params: Promise<{ id: string }>
  searchParams: Promise<{ package?: string; from?: string }>
}

export default async function QuotePage({ params, searchParams }: Props) {
  const id = toJobId((await params).id)
  const asked = await searchParams
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  const db = await database()
  const quotes = await listQuotes(db, id)
  if (entry.agreement && quotes.length === 0)
    return (
      <div className="mx-auto max-w-xl p-10 text-center">
        <h1 className="text-2xl">Agreed without a quote</h1>
        <p className="my-4">
          “{entry.agreement.packageName}” was agreed before quotes were saved here. What was agreed is on the
          plan.
        </p>
        <ButtonLink href={`/jobs/${id}/plan`}>See the plan</ButtonLink>
      </div>
    )
  if (!entry.surveyed && quotes.length === 0)
    return (
      <div className="mx-auto max-w-xl p-10 text-center">
        <h1 className="text-2xl">Measure first</h1>
        <p className="my-4">A quote depends on the paint of this car. Measure a few panels first.</p>
        <ButtonLink href={`/jobs/${id}/survey`}>Measure the paint</ButtonLink>
      </div>
    )
  const { input } = await loadWorked(db, floor.shop, entry.job)
  const { setup } = floor.shop
  const { agreement, live, job } = entry
  const version = agreement?.version
  const agreed =
    agreement && live && version !== undefined && !job.handedOverAt
      ? { ...agreement, version, states: stepStates(live, floor.now) }
      : undefined
  return (
    <QuoteScreen
      key={`${asked.package ?? ''} ${asked.from ?? ''}`}
      job={entry.job}
      setup={setup}
      input={input}
      quotes={quotes}
      begin={
        agreed ? changeBegins(quotes, agreed) : beginChoices(setup, input, entry.job, quotes, asked.package)
      }
      {...(agreed ? { agreed } : {})}
      fromCurve={asked.from === 'curve'}
      now={floor.now}
      closed={entry.agreement !== undefined && !agreed}
    />
  )
}

import type { Knex } from 'knex'
import { notFound } from 'next/navigation'
import { askedOnce, type Search } from '@/app/asked'
import { RecordChanges } from '@/app/record-changes'
import { requestJob, requestRevision } from '@/app/request-floor'
import { offered } from '@/core/correction'
import { toJobId } from '@/core/ids'
import { type Job, type LiveJob, stepStates } from '@/core/job'
import type { Agreement, Quote } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { readIn } from '@/core/region'
import { onShelf } from '@/core/stock'
import { dayIn } from '@/core/time'
import { Live } from '@/features/frame/live'
import { beginChoices, changeBegins } from '@/features/quote/begin'
import { QuoteScreen } from '@/features/quote/quote-screen'
import { database } from '@/server/db/connection'
import { loadWorked } from '@/server/quotes/offers'
import { listQuotes } from '@/server/quotes/quote-store'
import { namedPhotos } from '@/server/quotes/shown-photos'
import { foundSince, loadWorkedBy, methodsSince, notYetPut } from '@/server/quotes/since-agreed'
import { listBottles } from '@/server/stock/stock-store'
import { listStores } from '@/server/stock/stores'
import { loadSurvey } from '@/server/survey/survey-store'
import { loadEntries } from '@/server/work/acts-store'
import { foundText } from '@/text/marks'
import { methodLines } from '@/text/method-lines'
import { placeName } from '@/text/panels'
import { methodName } from '@/text/work'
import { ButtonLink } from '@/ui/button'

type Props = {
  params: Promise<{ id: string }>
  searchParams: Search
}

/** What was found and photographed since it was agreed, and is in no supplement yet. */
async function sinceAgreed(
  db: Knex,
  { shop, now }: Floor,
  { job, live, agreed }: { job: Job; live: LiveJob; agreed: Pick<Agreement, 'summary'> },
  quotes: readonly Quote[],
  open: boolean,
) {
  const last = quotes.findLast(({ decision }) => decision?.said === 'accepted')
  const { found } = await loadSurvey(db, job.id)
  const photos = (await namedPhotos(db, job.id)).filter(
    ({ takenAt, phase }) => phase === 'before' && last?.decision !== undefined && takenAt > last.decision.at,
  )
  const region = readIn(shop.setup.region, job.customer.language)
  const methods = methodsSince(live, await loadEntries(db, job.id), agreed.summary.processes)
  const linesOf = (changes: typeof methods) =>
    [
      foundText(region, foundSince(found, quotes)),
      ...methodLines(region, changes, {
        panel: (id) => placeName(region, id),
        method: (key) => methodName(region, key, offered(shop.setup.methods)),
      }).map(({ what, reason }) => `${what}. ${reason}`),
    ].filter(Boolean)
  return {
    open,
    found: linesOf(methods).join('\n'),
    untold: linesOf(notYetPut(methods, quotes, now)),
    photos: photos.slice(-12),
    methods,
  }
}

export default async function QuotePage({ params, searchParams }: Props) {
  const id = toJobId((await params).id)
  const asked = await askedOnce<'package' | 'from' | 'change'>(searchParams)
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
      ? {
          ...agreement,
          version,
          states: stepStates(live, floor.now),
          workedBy: await loadWorkedBy(db, live),
        }
      : undefined
  const since =
    agreed &&
    live &&
    (await sinceAgreed(db, floor, { job, live, agreed }, quotes, asked.change !== undefined))
  return (
    <>
      <Live since={await requestRevision()} />
      <QuoteScreen
        key={`${asked.package ?? ''} ${asked.from ?? ''} ${asked.change ?? ''}`}
        job={entry.job}
        setup={setup}
        input={input}
        shelf={onShelf(
          await listBottles(db),
          await listStores(db),
          floor.shop.catalogue,
          dayIn(setup.region.timezone, floor.now),
        )}
        quotes={quotes}
        begin={
          agreed
            ? changeBegins(quotes, agreed, since?.methods ?? [])
            : beginChoices(setup, input, entry.job, quotes, asked.package)
        }
        {...(agreed && since ? { agreed, since } : {})}
        fromCurve={asked.from === 'curve'}
        now={floor.now}
        closed={entry.agreement !== undefined && !agreed}
      />
      <RecordChanges
        width="full"
        of={[
          { of: 'quotes', key: id },
          { of: 'agreements', key: id },
        ]}
      />
    </>
  )
}

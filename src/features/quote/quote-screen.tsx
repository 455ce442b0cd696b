'use client'

import { useState } from 'react'
import type { Job } from '@/core/job'
import { panelToShow } from '@/core/lamp'
import type { Quote } from '@/core/offer'
import { type Choices, type OfferInput, quoteState, summaryOf } from '@/core/offer'
import type { Setup } from '@/core/shop'
import type { Instant } from '@/core/time'
import { later } from '@/ui/later'
import { PrintButton } from '@/ui/print-button'
import { Decide } from './decide'
import { DraftForm } from './draft-form'
import { draftPaper, type Paper, paperOf } from './paper'
import { QuotePaper } from './quote-paper'
import { type Draft, useDraft } from './use-draft'
import { Versions } from './versions'

const UnderLamp = later(() => import('../lamp/under-lamp').then(({ UnderLamp: view }) => view))

type Props = {
  job: Job
  setup: Setup
  input: OfferInput
  quotes: readonly Quote[]
  /** What the draft begins with. */
  begin: Choices
  fromCurve: boolean
  now: Instant
  /** A package is agreed: nothing more is written. */
  closed: boolean
}

/** A quote as it is put together, as the customer gets it, and every version that was written. */
export function QuoteScreen({ job, setup, input, quotes, begin, fromCurve, now, closed }: Props) {
  const newest = quotes.at(-1)
  const [shown, setShown] = useState<number | 'draft'>(
    newest && (closed || !fromCurve) && begin.packageKey === newest.packageKey ? newest.version : 'draft',
  )
  const draft = useDraft(setup, input, {
    jobId: job.id,
    choices: begin,
    note: newest?.note ?? '',
    fromCurve,
    onFromCurve: () => setShown('draft'),
  })
  const version = quotes.find((quote) => quote.version === shown)
  const paper = version ? paperOf(version, { job, setup }) : paperOfDraft(draft, job, setup)
  const told = version?.summary ?? (draft.offer ? summaryOf(draft.offer) : undefined)
  const lamp = told && panelToShow(told, foundOn(input), job.vehicle.plate)
  return (
    <div className="grid gap-6 p-5 lg:grid-cols-[minmax(0,1fr)_22rem] print:block print:p-0">
      <div>
        <h1 className="sr-only">The quote for {job.vehicle.plate}</h1>
        {paper ? (
          <QuotePaper paper={paper} />
        ) : (
          <p className="sheet p-6">
            {draft.issue?.message ??
              'A panel can no longer take the method that was chosen for it: the survey or a test spot has changed. Go back to the plan and choose again.'}
          </p>
        )}
        {lamp && (
          <div className="mx-auto mt-6 max-w-2xl">
            <UnderLamp {...lamp} colour={job.vehicle.colour} />
          </div>
        )}
      </div>
      <aside className="no-print space-y-5">
        <Versions quotes={quotes} shown={shown} setup={setup} now={now} closed={closed} onShow={setShown} />
        {version && <OneVersion job={job} quote={version} newest={quotes.length} now={now} closed={closed} />}
        {!closed && (
          <DraftForm
            jobId={job.id}
            draft={draft}
            setup={setup}
            input={input}
            next={quotes.length + 1}
            onEdit={() => setShown('draft')}
            onWritten={setShown}
          />
        )}
      </aside>
    </div>
  )
}

/** What was found on each panel. */
const foundOn = ({ judgement }: OfferInput) =>
  Object.fromEntries(
    judgement.panels.map(({ panel, condition }) => [panel.id, condition.costs.map(({ defect }) => defect)]),
  )

function paperOfDraft(
  { offer, choices, typed, packageKey }: Draft,
  job: Job,
  setup: Setup,
): Paper | undefined {
  return offer && choices
    ? draftPaper(
        {
          packageKey,
          packageName: offer.template.name,
          summary: summaryOf(offer),
          plan: offer.plan,
          totalCents: offer.price.totalCents,
          depositPercent: choices.terms.depositPercent,
          validDays: choices.terms.validDays,
          note: typed.note,
        },
        { job, setup },
      )
    : undefined
}

/** What can be done with a version that was written: read, printed, answered. */
function OneVersion({
  job,
  quote,
  newest,
  now,
  closed,
}: {
  job: Job
  quote: Quote
  newest: number
  now: Instant
  closed: boolean
}) {
  const state = quoteState(quote, newest, now)
  return (
    <section aria-label="This version" className="space-y-3">
      <div className="flex flex-wrap gap-2">
        <a
          className="inline-flex min-h-11 items-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold no-underline hover:bg-lichen"
          href={`/jobs/${job.id}/quote.pdf?version=${quote.version}`}
        >
          As PDF
        </a>
        <PrintButton />
      </div>
      {state.kind === 'open' && !closed && <Decide jobId={job.id} version={quote.version} />}
      {state.kind === 'expired' && !closed && (
        <p className="text-copper">Expired. Write the next version; it is priced at today’s rates.</p>
      )}
    </section>
  )
}

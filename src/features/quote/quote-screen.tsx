'use client'

import { useState } from 'react'
import type { Job } from '@/core/job'
import { panelToShow } from '@/core/lamp'
import type { AgreedBy, Quote, QuoteDecision, StepState } from '@/core/offer'
import { type Choices, type OfferInput, quoteState, summaryOf } from '@/core/offer'
import type { NamedPhoto } from '@/core/photo'
import { partOfPhoto } from '@/core/photo/part-photo'
import type { Setup } from '@/core/shop'
import type { OnShelf } from '@/core/stock'
import type { Instant } from '@/core/time'
import { paperMoment } from '@/text/formats'
import { comesTold } from '@/text/quote'
import { Button } from '@/ui/button'
import { later } from '@/ui/later'
import { PrintButton } from '@/ui/print-button'
import { useRegion } from '@/ui/region'
import { SignatureDrawing } from '../sign-off/signature-pad'
import { CallOff } from './call-off'
import { type AgreedShown, ChangeCompared, type ChangeTyped, ChangeWritten } from './change-part'
import { Decide } from './decide'
import { DecideChange } from './decide-change'
import { DraftForm } from './draft-form'
import { OtherDay } from './other-day'
import { draftPaper, type Paper, paperOf } from './paper'
import { QuotePaper } from './quote-paper'
import { type Draft, useDraft } from './use-draft'
import { Versions } from './versions'

const UnderLamp = later(() => import('../lamp/under-lamp').then(({ UnderLamp: view }) => view))

type Props = {
  job: Job
  setup: Setup
  input: OfferInput
  /** What stands on the shelf. */
  shelf: OnShelf
  quotes: readonly Quote[]
  /** What the draft begins with. */
  begin: Choices
  fromCurve: boolean
  now: Instant
  /** What is agreed, while the car is here: it can be changed. */
  agreed?: AgreedShown & { states: Readonly<Record<string, StepState>> }
  /** What a change begins with: opened at once, with what was found and photographed since. */
  since?: { open: boolean; found: string; untold: readonly string[]; photos: readonly NamedPhoto[] }
  /** Nothing more is written: the car has gone home, or what it was here for is not changed by quotes. */
  closed: boolean
}

/** A quote as it is put together, as the customer gets it, and every version that was written. */
export function QuoteScreen({
  job,
  setup,
  input,
  shelf,
  quotes,
  begin,
  fromCurve,
  now,
  agreed,
  since,
  closed,
}: Props) {
  const newest = quotes.at(-1)
  const isOpen = newest && !newest.decision
  const first = agreed && !isOpen ? agreed.version : newest?.version
  const [shown, setShown] = useState<number | 'draft'>(
    first && !since?.open && (closed || agreed || (!fromCurve && begin.packageKey === newest?.packageKey))
      ? first
      : 'draft',
  )
  const [changing, setChanging] = useState(since?.open ?? false)
  const [words, setWords] = useState<ChangeTyped>({
    found: since?.found ?? '',
    otherwise: '',
    // What came off the car is seldom what was found.
    photos: (since?.photos ?? []).filter((photo) => partOfPhoto(photo) === undefined).map(({ id }) => id),
  })
  const draft = useDraft(setup, input, {
    jobId: job.id,
    choices: begin,
    note: newest?.note ?? '',
    fromCurve,
    onFromCurve: () => setShown('draft'),
    customerTax: job.customer.tax,
    coming: job,
    ...(agreed
      ? { agreed: { ...agreed, version: quotes.length + 1, stateOf: (id) => agreed.states[id] ?? 'open' } }
      : {}),
  })
  const writes = !closed && (!agreed || changing)
  const version = quotes.find((quote) => quote.version === shown)
  const paper = version
    ? paperOf(version, { job, setup })
    : paperOfDraft(draft, { job, setup }, agreed, { ...words, shown: shownPhotos(words, since?.photos) })
  const told = version?.summary ?? summaryOfDraft(draft)
  const lamp = told && panelToShow(told, foundOn(input), job.vehicle.plate)
  const changeForm = (standing: NonNullable<Props['agreed']>) => {
    const shared = { jobId: job.id, draft, changed: draft.changed, region: setup.region }
    return {
      comesTo: <ChangeCompared {...shared} agreed={standing} job={job} now={now} />,
      day: (edit: (change: () => void) => void) => (
        <OtherDay
          draft={draft}
          isHere={Object.values(standing.states).some((state) => state !== 'open')}
          edit={edit}
        />
      ),
      end: (edit: (change: () => void) => void) => (
        <ChangeWritten
          {...shared}
          words={words}
          photos={since?.photos ?? []}
          onWords={(typed) => edit(() => setWords(typed))}
          onWritten={(written) => {
            setChanging(false)
            setShown(written)
          }}
        />
      ),
    }
  }
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
        <Versions quotes={quotes} shown={shown} setup={setup} now={now} closed={!writes} onShow={setShown} />
        {version && <OneVersion job={job} quote={version} newest={quotes.length} now={now} closed={closed} />}
        {agreed && !closed && !changing && since && since.untold.length > 0 && (
          <section
            aria-label="Not put to the customer yet"
            className="border-l-4 border-bracken bg-sheet p-3"
          >
            <h2 className="text-lg">Not put to the customer yet</h2>
            {since.untold.map((line) => (
              <p key={line}>{line}</p>
            ))}
          </section>
        )}
        {agreed && !closed && !changing && (
          <Button
            look="outline"
            className="w-full"
            onClick={() => {
              setChanging(true)
              setShown('draft')
            }}
          >
            Change what was agreed
          </Button>
        )}
        {writes && (
          <DraftForm
            jobId={job.id}
            draft={draft}
            setup={setup}
            input={input}
            shelf={shelf}
            next={quotes.length + 1}
            onEdit={() => setShown('draft')}
            onWritten={setShown}
            {...(agreed ? { change: changeForm(agreed) } : {})}
          />
        )}
        {agreed && !closed && Object.values(agreed.states).some((state) => state !== 'over') && (
          <CallOff job={job} from={agreed.version} now={now} />
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

const shownPhotos = ({ photos }: ChangeTyped, all: readonly NamedPhoto[] = []) =>
  all.filter(({ id }) => photos.includes(id))

const summaryOfDraft = ({ changed, offer }: Draft) =>
  typeof changed === 'object' ? changed.summary : offer && summaryOf(offer)

/** The draft on paper: of a change only what it changes, where it changes anything. */
function paperOfDraft(
  { offer, choices, typed, packageKey, changed }: Draft,
  shared: { job: Job; setup: Setup },
  agreed: AgreedShown | undefined,
  words: ChangeTyped & { shown: readonly NamedPhoto[] },
): Paper | undefined {
  if (!offer || !choices) return undefined
  const worked = typeof changed === 'object' ? changed : undefined
  return draftPaper(
    {
      packageKey,
      packageName: offer.template.name,
      summary: worked?.summary ?? summaryOf(offer),
      plan: worked?.plan ?? offer.plan,
      totalCents: worked?.price.totalCents ?? offer.price.totalCents,
      depositPercent: choices.terms.depositPercent,
      validDays: choices.terms.validDays,
      note: typed.note,
      ...(agreed && worked
        ? {
            change: { ...words, callsOff: false, agreed, ...comesTold(choices, shared.job) },
            photos: words.shown,
          }
        : {}),
    },
    shared,
  )
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
      {state.kind === 'open' &&
        !closed &&
        (quote.change ? (
          <DecideChange job={job} version={quote.version} now={now} />
        ) : (
          <Decide jobId={job.id} version={quote.version} />
        ))}
      {quote.decision?.agreedBy && <AgreedByLine decision={quote.decision} by={quote.decision.agreedBy} />}
      {state.kind === 'expired' && !closed && (
        <p className="text-copper">Expired. Write the next version; it is priced at today’s rates.</p>
      )}
    </section>
  )
}

/** Who said yes to a change, when and how. */
function AgreedByLine({ decision, by }: { decision: QuoteDecision; by: AgreedBy }) {
  const region = useRegion()
  return (
    <div className="text-[15px]" data-testid="agreed-by">
      {by.how === 'signed' && <SignatureDrawing strokes={by.signature} className="w-56 max-w-full" />}
      <p>
        {by.how === 'signed' ? `Signed by ${by.name}` : `${by.name}, by telephone`},{' '}
        {paperMoment(region, decision.at)}
      </p>
    </div>
  )
}

'use client'

import clsx from 'clsx'
import { useEffect, useMemo, useState, useTransition } from 'react'
import {
  type Choices,
  choicesSchema,
  chosenOffer,
  EXTRA_KEYS,
  type ExtraKey,
  includedCount,
  type OfferInput,
  quoteState,
  summaryOf,
} from '@/core/job'
import type { Instant } from '@/core/time'
import { writeQuoteVersion } from '@/server/actions/quote'
import type { Job } from '@/server/job-store'
import type { Quote } from '@/server/quote-store'
import type { Setup } from '@/server/shop-store'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { PrintButton } from '@/ui/print-button'
import { money } from '@/ui/when'
import { Breaches } from '../plan/breaches'
import { Decide } from './decide'
import { quoteDraftKey } from './draft-key'
import { ExtraCounts } from './extra-counts'
import { draftPaper, paperOf } from './paper'
import { QuotePaper } from './quote-paper'
import { stateText } from './state-text'

type Props = {
  job: Job
  setup: Setup
  input: OfferInput
  quotes: readonly Quote[]
  /** What the draft begins with. */
  begin: Choices
  fromCurve: boolean
  now: Instant
  closed: boolean
}

const number = (text: string) => (text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.')))

type Typed = { discount: string; deposit: string; days: string; note: string }

/** A quote as it is put together, as the customer gets it, and every version that was written. */
export function QuoteScreen({ job, setup, input, quotes, begin, fromCurve, now, closed }: Props) {
  const newest = quotes.at(-1)
  const [shown, setShown] = useState<number | 'draft'>(
    newest && (closed || !fromCurve) && begin.packageKey === newest.packageKey ? newest.version : 'draft',
  )
  const [packageKey, setPackageKey] = useState(begin.packageKey)
  const [processes, setProcesses] = useState(begin.processes)
  const [counts, setCounts] = useState<Partial<Record<ExtraKey, number>>>(
    Object.fromEntries(begin.extras.map(({ key, count }) => [key, count])),
  )
  const [typed, setTyped] = useState<Typed>({
    discount: String(begin.terms.discountPercent),
    deposit: String(begin.terms.depositPercent),
    days: String(begin.terms.validDays),
    note: newest?.note ?? '',
  })
  const [refused, setRefused] = useState<{ message: string; field?: string }>()
  const [pending, startTransition] = useTransition()
  // What was chosen along the curve waits in the session, since it is too long for an address.
  useEffect(() => {
    const kept = fromCurve ? sessionStorage.getItem(quoteDraftKey(job.id)) : null
    const from = kept
      ? choicesSchema.pick({ packageKey: true, processes: true }).safeParse(JSON.parse(kept))
      : undefined
    if (!from?.success) return
    setPackageKey(from.data.packageKey)
    setProcesses(from.data.processes)
    setShown('draft')
  }, [fromCurve, job.id])

  const template = setup.packages.find(({ key }) => key === packageKey) ?? setup.packages[0]!
  const extraCounts = useMemo(
    () =>
      Object.fromEntries(
        EXTRA_KEYS.map((key) => [
          key,
          counts[key] ?? (template.extras.includes(key) ? includedCount(key, input.proposals) : 0),
        ]),
      ) as Record<ExtraKey, number>,
    [counts, template, input.proposals],
  )
  const wanted = {
    packageKey,
    ...(processes ? { processes } : {}),
    extras: EXTRA_KEYS.map((key) => ({ key, count: extraCounts[key] })),
    terms: {
      discountPercent: number(typed.discount),
      depositPercent: number(typed.deposit),
      validDays: number(typed.days),
    },
  }
  const checked = choicesSchema.safeParse(wanted)
  const issue = checked.success ? undefined : checked.error.issues[0]
  const offer = checked.success ? chosenOffer(setup.packages, input, checked.data) : undefined
  const shared = { job, setup }
  const draft =
    offer &&
    checked.success &&
    draftPaper(
      {
        packageKey,
        packageName: offer.template.name,
        summary: summaryOf(offer),
        plan: offer.plan,
        totalCents: offer.price.totalCents,
        ...checked.data.terms,
        note: typed.note,
      },
      shared,
    )
  const version = shown === 'draft' ? undefined : quotes.find((quote) => quote.version === shown)
  const paper = version ? paperOf(version, shared) : draft
  const state = version && quoteState(version, quotes.length, now)
  const edit = (change: () => void) => {
    change()
    setShown('draft')
    setRefused(undefined)
  }
  const text = (field: 'discount' | 'deposit' | 'days', label: string, path: string) => (
    <Field label={label} error={issue?.path.at(-1) === path ? issue.message : undefined}>
      <input
        className="field"
        inputMode="decimal"
        autoComplete="off"
        value={typed[field]}
        onChange={(event) => edit(() => setTyped({ ...typed, [field]: event.target.value }))}
      />
    </Field>
  )
  const write = () =>
    startTransition(async () => {
      if (!offer) return
      const answer = await writeQuoteVersion(job.id, {
        choices: wanted,
        note: typed.note,
        shownCents: offer.price.totalCents,
      }).catch(
        () =>
          ({
            kind: 'refused',
            message: 'The server does not answer. What you chose stays; try again.',
          }) as const,
      )
      if (answer.kind === 'refused') setRefused(answer)
      else {
        setShown(answer.version)
        setRefused(undefined)
        sessionStorage.removeItem(quoteDraftKey(job.id))
      }
    })
  return (
    <div className="grid gap-6 p-5 lg:grid-cols-[minmax(0,1fr)_22rem] print:block print:p-0">
      <div>
        <h1 className="sr-only">The quote for {job.vehicle.plate}</h1>
        {paper ? (
          <QuotePaper paper={paper} />
        ) : (
          <p className="sheet p-6">
            {issue
              ? issue.message
              : 'A panel can no longer take the process that was chosen for it: the survey or a test spot has changed. Go back to the plan and choose again.'}
          </p>
        )}
      </div>
      <aside className="no-print space-y-5">
        {quotes.length > 0 && (
          <section aria-label="Versions">
            <h2 className="text-xl">Versions</h2>
            <ul className="mt-1 space-y-1">
              {quotes.toReversed().map((quote) => (
                <li key={quote.version}>
                  <button
                    type="button"
                    aria-pressed={shown === quote.version}
                    className={clsx(
                      'min-h-11 w-full rounded border px-3 py-1.5 text-left text-[15px]',
                      shown === quote.version
                        ? 'border-fern bg-fern text-on-fern'
                        : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
                    )}
                    onClick={() => setShown(quote.version)}
                  >
                    <span className="flex justify-between font-head font-semibold">
                      <span>
                        {quote.version}. {quote.packageName}
                      </span>
                      <span>{money(setup.currency, quote.totalCents)}</span>
                    </span>
                    <span className="block text-sm">
                      {stateText(quoteState(quote, quotes.length, now), setup.timezone)}
                    </span>
                  </button>
                </li>
              ))}
              {!closed && (
                <li>
                  <button
                    type="button"
                    aria-pressed={shown === 'draft'}
                    className={clsx(
                      'min-h-11 w-full rounded border border-dashed px-3 py-1.5 text-left text-[15px]',
                      shown === 'draft' ? 'border-fern bg-lichen' : 'border-ink-soft/60 hover:bg-lichen',
                    )}
                    onClick={() => setShown('draft')}
                  >
                    The next version, not yet written
                  </button>
                </li>
              )}
            </ul>
          </section>
        )}
        {version && (
          <section aria-label="This version" className="space-y-3">
            <div className="flex flex-wrap gap-2">
              <a
                className="inline-flex min-h-11 items-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold no-underline hover:bg-lichen"
                href={`/jobs/${job.id}/quote.pdf?version=${version.version}`}
              >
                As PDF
              </a>
              <PrintButton />
            </div>
            {state?.kind === 'open' && !closed && <Decide jobId={job.id} version={version.version} />}
            {state?.kind === 'expired' && !closed && (
              <p className="text-copper">
                Past its day. Write the next version; it is worked out at today’s price.
              </p>
            )}
          </section>
        )}
        {!closed && (
          <section aria-label="The next version" className="space-y-4 border-t border-line pt-4">
            <h2 className="text-xl">{quotes.length > 0 ? 'Change it' : 'Put it together'}</h2>
            <Field label="Package">
              <select
                className="field"
                value={packageKey}
                onChange={(event) =>
                  edit(() => {
                    setPackageKey(event.target.value)
                    setProcesses(undefined)
                  })
                }
              >
                {setup.packages.map(({ key, name }) => (
                  <option key={key} value={key}>
                    {name}
                  </option>
                ))}
              </select>
            </Field>
            {processes && (
              <p className="text-sm text-ink-soft">
                With the processes chosen along the curve.{' '}
                <button
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() => edit(() => setProcesses(undefined))}
                >
                  Take the package’s own
                </button>
              </p>
            )}
            <ExtraCounts
              shape={job.vehicle.shape}
              counts={extraCounts}
              proposals={input.proposals}
              onChange={(key, count) => edit(() => setCounts({ ...counts, [key]: count }))}
            />
            <div className="grid grid-cols-3 gap-3">
              {text('discount', 'Discount, %', 'discountPercent')}
              {text('deposit', 'Deposit, %', 'depositPercent')}
              {text('days', 'Holds, days', 'validDays')}
            </div>
            <Field
              label="A word to the customer"
              error={refused?.field === 'note' ? refused.message : undefined}
            >
              <textarea
                className="field"
                rows={3}
                value={typed.note}
                onChange={(event) => edit(() => setTyped({ ...typed, note: event.target.value }))}
              />
            </Field>
            {offer && <Breaches broken={offer.breaches} />}
            <Button className="w-full" disabled={pending || !offer} onClick={write}>
              {pending
                ? 'Writing it…'
                : `Write version ${quotes.length + 1}${offer ? `, ${money(setup.currency, offer.price.totalCents)}` : ''}`}
            </Button>
            {refused && (
              <p role="alert" className="text-copper">
                {refused.message}
              </p>
            )}
          </section>
        )}
      </aside>
    </div>
  )
}

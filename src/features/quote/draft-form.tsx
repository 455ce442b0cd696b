'use client'

import type { ReactNode } from 'react'
import type { JobId } from '@/core/ids'
import { type OfferInput, onceFilmIsOff } from '@/core/offer'
import type { Setup } from '@/core/shop'
import type { OnShelf } from '@/core/stock'
import { writeQuoteVersion } from '@/server/quotes/quote-actions'
import { money } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useAction } from '@/ui/use-action'
import { LayerFields, SurfaceFields } from '../coats/coat-fields'
import { Breaches } from '../plan/breaches'
import { CalledIn } from './called-in'
import { quoteDraftKey } from './draft-key'
import { ExtraCounts } from './extra-counts'
import { OneOffs } from './one-offs'
import { PanelMethods } from './panel-methods'
import { ShortNote } from './short-note'
import type { Draft } from './use-draft'

type Props = {
  jobId: JobId
  draft: Draft
  setup: Setup
  input: OfferInput
  /** What stands on the shelf. */
  shelf: OnShelf
  /** Number of the version that would be written. */
  next: number
  onEdit: () => void
  onWritten: (version: number) => void
  /** Where what is agreed is changed: what it comes to, and what stands at the end of the form in place of writing a version. */
  change?: Record<'day' | 'end', (edit: (change: () => void) => void) => ReactNode> & { comesTo: ReactNode }
}

function More({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details>
      <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
        {title}
      </summary>
      <div className="space-y-3 pb-2">{children}</div>
    </details>
  )
}

/** Package, extras and terms of the next version; the paper beside it follows every touch. */
export function DraftForm({ jobId, draft, setup, input, shelf, next, onEdit, onWritten, change }: Props) {
  const { run, pending, refusal: refused, clear } = useAction()
  const { issue, offer, typed } = draft
  const edit = (change: () => void) => {
    change()
    clear()
    onEdit()
  }
  const text = (
    field: 'discount' | 'deposit' | 'days' | 'gloss',
    label: string,
    path: string,
    hint?: string,
  ) => (
    <Field
      label={label}
      {...(hint ? { hint } : {})}
      error={issue?.path.at(-1) === path ? issue.message : undefined}
    >
      <NumberInput value={typed[field]} onChange={(text) => edit(() => draft.type({ [field]: text }))} />
    </Field>
  )
  const write = () =>
    offer &&
    draft.choices &&
    run(
      writeQuoteVersion,
      { jobId, choices: draft.choices, note: typed.note, shownCents: offer.price.totalCents },
      (written) => {
        sessionStorage.removeItem(quoteDraftKey(jobId))
        onWritten(written.version)
      },
    )
  return (
    <section aria-label="The next version" className="space-y-4 border-t border-line pt-4">
      <h2 className="text-xl">
        {change ? 'Change what was agreed' : next > 1 ? 'Change it' : 'Put it together'}
      </h2>
      {change?.comesTo}
      {change && <More title="Another day, another budget">{change.day(edit)}</More>}
      <Field label="Package">
        <select
          className="field"
          value={draft.packageKey}
          onChange={(event) => edit(() => draft.choosePackage(event.target.value))}
        >
          {setup.packages.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      </Field>
      {draft.processes && (
        <p className="text-sm text-ink-soft">
          {change ? 'With the methods as they are agreed. ' : 'With the methods you chose. '}
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => edit(draft.forgetProcesses)}
          >
            {change ? 'Choose them again from what is known now' : 'Use the package’s own'}
          </button>
        </p>
      )}
      <More title="Methods, panel by panel">
        <PanelMethods
          template={draft.template}
          input={onceFilmIsOff(draft.template, input, draft.extras)}
          processes={draft.methods}
          onChange={(panel, method) => edit(() => draft.chooseMethod(panel, method))}
        />
      </More>
      <More title="Coatings">
        <LayerFields
          coats={draft.coats}
          catalogue={input.catalogue}
          onChange={(coats) => edit(() => draft.chooseCoats(coats))}
        />
        <SurfaceFields
          coats={draft.coats}
          catalogue={input.catalogue}
          onChange={(coats) => edit(() => draft.chooseCoats(coats))}
        />
      </More>
      <ExtraCounts
        shape={input.shape}
        counts={draft.counts}
        piecesOf={draft.piecesOf}
        proposals={input.proposals}
        onPieces={(key, pieces, count) => edit(() => draft.choosePieces(key, pieces, count))}
        onChange={(key, count) => edit(() => draft.count(key, count))}
      />
      <CalledIn
        vendors={setup.vendors}
        called={(offer?.vendors ?? []).map(({ id }) => id)}
        proposals={input.trades ?? []}
        onChange={(id, isCalled) => edit(() => draft.callIn(id, isCalled))}
      />
      <OneOffs
        lines={draft.oneOffs}
        error={(at, field) =>
          issue?.path.join('.') === `oneOffs.${at}.${field}` ? issue.message : undefined
        }
        onChange={(lines) => edit(() => draft.writeOneOffs(lines))}
      />
      <div className="grid grid-cols-3 gap-3">
        {text('discount', 'Discount, %', 'discountPercent')}
        {text('deposit', 'Deposit, %', 'depositPercent')}
        {text('days', 'Valid for, days', 'validDays')}
      </div>
      {(offer?.gloss || typed.gloss !== '') &&
        text(
          'gloss',
          'Gloss to reach, GU',
          'glossGu',
          typed.gloss === '' && offer?.gloss
            ? `Empty: ${offer.gloss.targetGu} GU, which the paint allows.`
            : undefined,
        )}
      <Field label="A word to the customer" error={refused?.field === 'note' ? refused.message : undefined}>
        <textarea
          className="field"
          rows={3}
          value={typed.note}
          onChange={(event) => edit(() => draft.type({ note: event.target.value }))}
        />
      </Field>
      {offer && <Breaches broken={offer.breaches} />}
      {offer && !change && (
        <ShortNote offer={offer} shelf={shelf} supplies={setup.supplies} region={setup.region} />
      )}
      {change ? (
        change.end(edit)
      ) : (
        <Button className="w-full" disabled={pending || !offer} onClick={write}>
          {pending
            ? 'Writing it…'
            : `Write version ${next}${offer ? `, ${money(setup.region, offer.price.totalCents)}` : ''}`}
        </Button>
      )}
      {refused && (
        <p role="alert" className="text-copper">
          {refused.message}
        </p>
      )}
    </section>
  )
}

'use client'

import { useState } from 'react'
import type { Customer } from '@/core/customer'
import { CHANNELS, LANGUAGE_NAME, LANGUAGES } from '@/core/customer'
import { CUSTOMER_TAX } from '@/core/offer/tax'
import { SAID_BY, type SaidBy } from '@/core/people'
import { saveContact } from '@/server/messages/message-actions'
import { CHANNEL_NAME } from '@/text/en/messages'
import { CUSTOMER_TAX_NAME } from '@/text/en/offer'
import { CONSENT_WORDING, SAID_BY_NAME } from '@/text/en/people'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'

/** How an owner is reached, in which language, and whether they may be reminded. */
export function ContactForm({
  customer,
  consents,
}: {
  customer: Customer
  /** What they said of reminders, in words, the latest first. */
  consents: readonly string[]
}) {
  const { phone, email, mayRemind, language, writeBy, tax } = customer
  const [typed, setTyped] = useState({ phone, email, mayRemind, language, writeBy, tax })
  const { run, pending, refusal, isDone, errorAt: error } = useAction()
  const [saidBy, setSaidBy] = useState<SaidBy>()
  const saysElse = typed.mayRemind !== mayRemind
  const change = (changed: Partial<typeof typed>) => setTyped({ ...typed, ...changed })
  return (
    <div className="mt-2 space-y-3">
      <Field label="Telephone" {...error('phone')}>
        <input
          type="tel"
          className="field"
          value={typed.phone}
          onChange={(event) => change({ phone: event.target.value })}
        />
      </Field>
      <Field label="E-mail" {...error('email')}>
        <input
          type="email"
          className="field"
          value={typed.email}
          onChange={(event) => change({ email: event.target.value })}
        />
      </Field>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-fern"
          checked={typed.mayRemind}
          onChange={(event) => change({ mayRemind: event.target.checked })}
        />
        {CONSENT_WORDING}
      </label>
      {saysElse && (
        <Choice
          label="How they said so"
          options={SAID_BY.map((value) => ({ value, name: SAID_BY_NAME[value] }))}
          value={saidBy}
          onChange={setSaidBy}
        />
      )}
      {consents.length > 0 && (
        <ul className="text-sm text-ink-soft" aria-label="What they said of reminders">
          {consents.map((said) => (
            <li key={said}>{said}</li>
          ))}
        </ul>
      )}
      <Choice
        label="Language"
        options={LANGUAGES.map((value) => ({ value, name: LANGUAGE_NAME[value] }))}
        value={typed.language}
        onChange={(value) => change({ language: value })}
      />
      <Choice
        label="Contact by"
        options={CHANNELS.map((value) => ({ value, name: CHANNEL_NAME[value] }))}
        value={typed.writeBy}
        onChange={(value) => change({ writeBy: value })}
      />
      <Choice
        label="Tax on their quotes"
        options={CUSTOMER_TAX.map((value) => ({ value, name: CUSTOMER_TAX_NAME[value] }))}
        value={typed.tax}
        onChange={(value) => change({ tax: value })}
      />
      <div className="flex items-center gap-3">
        <Button
          look="outline"
          disabled={pending}
          onClick={() =>
            run(saveContact, { customerId: customer.id, ...typed, ...(saysElse && saidBy ? { saidBy } : {}) })
          }
        >
          Save
        </Button>
        {isDone && <p role="status">Saved.</p>}
        {refusal && !['phone', 'email'].includes(refusal.field) && (
          <p role="alert" className="text-copper">
            {refusal.message}
          </p>
        )}
      </div>
    </div>
  )
}

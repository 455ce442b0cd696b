'use client'

import { useState } from 'react'
import type { Customer } from '@/core/customer'
import { LANGUAGE_NAME } from '@/core/customer'
import type { VehicleId } from '@/core/ids'
import { type Occasion, routeFor, type Template } from '@/core/messages'
import { readIn } from '@/core/region'
import type { LocalDay } from '@/core/time'
import { writeToOwner } from '@/server/messages/message-actions'
import { CHANNEL_NAME, HELD_TEXT } from '@/text/en/messages'
import { repairText } from '@/text/messages'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { freshKey } from '@/ui/fresh-key'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

type Props = {
  customer: Customer
  vehicleId: VehicleId
  car: string
  failed: readonly string[]
  templates: { words: Template; 'panel-failed': Template }
  /** A repair that is booked. */
  repair?: { day: LocalDay; onGuarantee: boolean }
}

type ByHand = 'words' | 'panel-failed'

/** A message by hand, begun from the shop's words; what it will say stands there to be changed. */
export function WriteMessage({ customer, vehicleId, car, failed, templates, repair }: Props) {
  const region = useRegion()
  const begun = (occasion: ByHand): Template => {
    const { subject, text } = templates[occasion]
    const fill = (words: string) =>
      words
        .replaceAll('{car}', car)
        .replaceAll('{panels}', failed.join(', ') || '…')
        .replaceAll(
          ' {words}',
          repair ? ` ${repairText(readIn(region, customer.language), repair.day, repair.onGuarantee)}` : '',
        )
        .replaceAll('{words}\n', '\n')
    return { subject: fill(subject), text: fill(text) }
  }
  const first: ByHand = failed.length > 0 ? 'panel-failed' : 'words'
  const [id, setId] = useState(() => freshKey())
  const [occasion, setOccasion] = useState<ByHand>(first)
  const [typed, setTyped] = useState(() => begun(first))
  const { run, pending, refusal, isDone, errorAt: error } = useAction()
  const route = routeFor(customer, occasion as Occasion)
  const start = (chosen: ByHand) => {
    setOccasion(chosen)
    setTyped(begun(chosen))
  }
  if (route.kind === 'held') return <p className="mt-2 text-copper">{HELD_TEXT[route.why]}</p>
  return (
    <div className="mt-3 space-y-4">
      <Choice
        label="About"
        options={[
          { value: 'panel-failed', name: 'A panel that has failed' },
          { value: 'words', name: 'Something else' },
        ]}
        value={occasion}
        onChange={(value) => start(value as ByHand)}
      />
      <Field label="Subject" {...error('subject')}>
        <input
          className="field"
          value={typed.subject}
          onChange={(event) => setTyped({ ...typed, subject: event.target.value })}
        />
      </Field>
      <Field
        label="Text"
        hint="{name}, {shop} and {page}, their private page, are filled in when it goes."
        {...error('text')}
      >
        <textarea
          className="field min-h-44"
          value={typed.text}
          onChange={(event) => setTyped({ ...typed, text: event.target.value })}
        />
      </Field>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          disabled={pending}
          onClick={() =>
            run(writeToOwner, { id, vehicleId, occasion, ...typed }, () => {
              setId(freshKey())
              start('words')
            })
          }
        >
          {pending ? 'Adding…' : 'Add to queue'}
        </Button>
        <span className="text-sm text-ink-soft">
          {CHANNEL_NAME[route.channel]} to {route.address}, {LANGUAGE_NAME[customer.language]}
        </span>
      </div>
      {isDone && <p role="status">It is in the queue, and goes as soon as the quiet hours allow.</p>}
      {refusal && refusal.field === '' && (
        <p role="alert" className="font-semibold text-copper">
          {refusal.message}
        </p>
      )}
    </div>
  )
}

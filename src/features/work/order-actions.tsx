import { useState } from 'react'
import { workOn } from '@/core/card'
import { dayIn, plusDays } from '@/core/time'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { MomentInput, type TypedMoment } from '@/ui/moment-input'
import { momentOf } from '../typed-moment'
import type { StepProps } from './use-card'

/** Touch-up paint comes from somebody by its colour code: ordered, due, here. The step waits for it, and the calendar with it. */
export function OrderActions({ card, operation, me }: StepProps) {
  const { view, state, now } = card
  const { timezone } = view.region
  const { order } = workOn(state, operation.id)
  const [what, setWhat] = useState('')
  const [supplier, setSupplier] = useState('')
  const [due, setDue] = useState<TypedMoment>({ day: plusDays(dayIn(timezone, now), 1), time: '12:00' })
  const [faults, setFaults] = useState<{ what?: string; supplier?: string; due?: string }>({})
  const save = () => {
    const at = momentOf(view.region, due)
    const found = {
      ...(what.trim() ? {} : { what: 'Type what is ordered, with its paint code.' }),
      ...(supplier.trim() ? {} : { supplier: 'Type where it is ordered.' }),
      ...(at && at > now ? {} : { due: 'It can only be due later than now.' }),
    }
    setFaults(found)
    if (at && Object.keys(found).length === 0)
      card.add(me, {
        kind: 'order',
        operation: operation.id,
        what: what.trim(),
        supplier: supplier.trim(),
        due: at,
      })
  }
  const id = operation.id
  const isOpen = order !== undefined && !order.here
  return (
    <section aria-label="Ordered for this step" className="mt-5 border-t border-line pt-4">
      {order && (
        <div className="flex flex-wrap items-center gap-4">
          <p className="text-lg" data-testid="order">
            {order.what} from {order.supplier},{' '}
            {order.here
              ? `here since ${moment(view.region, order.here, now)}`
              : `due ${moment(view.region, order.due, now)}`}
            {isOpen && order.due < now && <strong className="text-copper">: late</strong>}
          </p>
          {isOpen && (
            <Button onClick={() => card.add(me, { kind: 'order-here', operation: id })}>It is here</Button>
          )}
        </div>
      )}
      <details className="mt-1" hidden={!isOpen && operation.extra !== 'touch-up'}>
        <summary className="min-h-11 py-2 font-head font-semibold underline decoration-ink-soft/50 underline-offset-4">
          {isOpen ? 'It comes later' : 'Paint is ordered for it'}
        </summary>
        <div className="grid max-w-2xl items-start gap-3 sm:grid-cols-2">
          <Field
            label={operation.extra === 'touch-up' ? 'Paint and its code' : 'What is missing'}
            error={faults.what}
          >
            <input
              className="field"
              maxLength={80}
              value={what}
              onChange={({ target }) => setWhat(target.value)}
            />
          </Field>
          <Field label="Ordered from" error={faults.supplier}>
            <input
              className="field"
              maxLength={80}
              value={supplier}
              onChange={({ target }) => setSupplier(target.value)}
            />
          </Field>
          <MomentInput label="Due" value={due} error={faults.due} onChange={setDue} />
          <Button className="sm:mt-6" onClick={save}>
            Save the order
          </Button>
        </div>
      </details>
    </section>
  )
}

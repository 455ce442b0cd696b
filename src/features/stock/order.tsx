'use client'

import { useState } from 'react'
import { isOrderLate, type OrderOf, type StockOrder } from '@/core/stock'
import { dayIn } from '@/core/time'
import { endStockOrder, orderStock } from '@/server/stock/order-actions'
import { shortDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useRegion, useToday } from '@/ui/region'
import { useAction } from '@/ui/use-action'

type Props = { of: OrderOf; name: string; order: StockOrder | undefined; wanted: boolean; words: string }

/** That something has to be ordered, and by one touch that it is; then until when, and that it came. */
export function Order({ of, name, order, wanted, words }: Props) {
  const [region, today] = [useRegion(), useToday()]
  const [open, setOpen] = useState(false)
  const [due, setDue] = useState('')
  const { run, pending, refusal, errorAt } = useAction()
  if (order) {
    const late = isOrderLate(order, today)
    const end = (came: boolean) => run(endStockOrder, { id: order.id, came })
    return (
      <span className="inline-flex flex-wrap items-center gap-x-3">
        <span className={late ? 'font-semibold text-copper' : 'text-ink-soft'}>
          Ordered {shortDay(region, dayIn(region.timezone, order.orderedAt))}
          {order.due && `, ${late ? 'was due' : 'due'} ${shortDay(region, order.due)}`}
        </span>
        <Button look="quiet" disabled={pending} aria-label={`It is here: ${name}`} onClick={() => end(true)}>
          It is here
        </Button>
        <Button
          look="quiet"
          disabled={pending}
          aria-label={`Not ordered after all: ${name}`}
          onClick={() => end(false)}
        >
          Not ordered after all
        </Button>
        {refusal && (
          <span role="alert" className="text-copper">
            {refusal.message}
          </span>
        )}
      </span>
    )
  }
  if (!wanted) return null
  const told = due.trim() ? { due } : {}
  return (
    <span className="inline-flex flex-wrap items-end gap-x-3">
      {!open && <span className="self-center font-semibold text-copper">{words}</span>}
      {open ? (
        <>
          <Field label="Due (optional)" {...errorAt('due')}>
            <DayInput className="w-40" value={due} onChange={setDue} min={today} />
          </Field>
          <Button disabled={pending} onClick={() => run(orderStock, { of, ...told }, () => setOpen(false))}>
            Save
          </Button>
          <Button look="outline" onClick={() => setOpen(false)}>
            Cancel
          </Button>
        </>
      ) : (
        <Button look="quiet" aria-label={`Mark as ordered: ${name}`} onClick={() => setOpen(true)}>
          Mark as ordered
        </Button>
      )}
      {refusal && !errorAt('due').error && (
        <span role="alert" className="text-copper">
          {refusal.message}
        </span>
      )}
    </span>
  )
}

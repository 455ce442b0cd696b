'use client'

import { useState } from 'react'
import { setReorder } from '@/server/actions/stock'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { useStockAction } from './use-stock-action'

/** What the shop wants to have left of a product. */
export function ReorderPoint({ productId, name, ml }: { productId: string; name: string; ml: number }) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState(String(ml))
  const { run, pending, errorAt } = useStockAction()
  if (!open)
    return (
      <Button look="quiet" aria-label={`Order point of ${name}`} onClick={() => setOpen(true)}>
        {ml > 0 ? `Order below ${ml} ml` : 'No order point'}
      </Button>
    )
  return (
    <div className="flex items-end gap-2">
      <Field label="Order below, ml" {...errorAt('')}>
        <input
          className="field w-28"
          inputMode="numeric"
          autoComplete="off"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
      </Field>
      <Button
        disabled={pending}
        onClick={() =>
          run(
            () => setReorder(productId, typedNumber(typed)),
            () => setOpen(false),
          )
        }
      >
        Keep
      </Button>
    </div>
  )
}

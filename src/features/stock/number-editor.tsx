'use client'

import { useState } from 'react'
import type { StockAnswer } from '@/server/stock/stock-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { useStockAction } from './use-stock-action'

type Props = {
  /** What the button says while nothing is typed, and what it is to somebody who only hears it. */
  words: string
  label: string
  /** The field’s own name. */
  field: string
  initial?: string
  onKeep: (value: number) => Promise<StockAnswer>
}

/** A figure that is changed in its place: a quiet button, then a field, then kept or left. */
export function NumberEditor({ words, label, field, initial = '', onKeep }: Props) {
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState(initial)
  const { run, pending, refused } = useStockAction()
  if (!open)
    return (
      <Button look="quiet" aria-label={label} onClick={() => setOpen(true)}>
        {words}
      </Button>
    )
  return (
    <span className="inline-flex items-end gap-2 text-left">
      <Field label={field} {...(refused ? { error: refused.message } : {})}>
        <input
          className="field w-28"
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
      </Field>
      <Button
        disabled={pending}
        onClick={() =>
          run(
            () => onKeep(typedNumber(typed)),
            () => setOpen(false),
          )
        }
      >
        Keep
      </Button>
      <Button look="outline" onClick={() => setOpen(false)}>
        Leave it
      </Button>
    </span>
  )
}

'use client'

import { useState } from 'react'
import { countBottle, throwBottle } from '@/server/actions/stock'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { useStockAction } from './use-stock-action'

/** What one does with a bottle: say what is left in it, or that it is gone. */
export function BottleActions({ id, code }: { id: string; code: number }) {
  const [counting, setCounting] = useState(false)
  const [ml, setMl] = useState('')
  const { run, pending, errorAt } = useStockAction()
  if (!counting)
    return (
      <span className="inline-flex gap-1">
        <Button look="quiet" aria-label={`Count bottle ${code}`} onClick={() => setCounting(true)}>
          Count
        </Button>
        <Button
          look="quiet"
          disabled={pending}
          aria-label={`Bottle ${code} is gone`}
          onClick={() => run(() => throwBottle(id))}
        >
          Gone
        </Button>
      </span>
    )
  return (
    <span className="inline-flex items-end gap-2 text-left">
      <Field label="ml left" {...errorAt('ml')} {...errorAt('')}>
        <input
          className="field w-24"
          inputMode="decimal"
          autoComplete="off"
          value={ml}
          onChange={({ target }) => setMl(target.value)}
        />
      </Field>
      <Button
        disabled={pending}
        onClick={() =>
          run(
            () => countBottle(id, typedNumber(ml)),
            () => setCounting(false),
          )
        }
      >
        Keep
      </Button>
      <Button look="outline" onClick={() => setCounting(false)}>
        Leave it
      </Button>
    </span>
  )
}

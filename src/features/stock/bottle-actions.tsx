'use client'

import { countBottle, throwBottle } from '@/server/stock/stock-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'
import { NumberEditor } from './number-editor'

/** What one does with a bottle: say what is left in it, or that it is gone. */
export function BottleActions({ id, code }: { id: string; code: number }) {
  const { run, pending, refusal } = useAction()
  return (
    <span className="inline-flex items-end gap-1">
      <NumberEditor
        words="Correct amount"
        label={`Correct amount of bottle ${code}`}
        field="Left"
        quantity="volume"
        action={countBottle}
        input={(ml) => ({ id, ml })}
      />
      <Button
        look="quiet"
        disabled={pending}
        aria-label={`Write off bottle ${code}`}
        onClick={() => run(throwBottle, { id })}
      >
        Write off
      </Button>
      {refusal && (
        <span role="alert" className="font-semibold text-copper">
          {refusal.message}
        </span>
      )}
    </span>
  )
}

'use client'

import { countBottle, throwBottle } from '@/server/stock/stock-actions'
import { Button } from '@/ui/button'
import { NumberEditor } from './number-editor'
import { useStockAction } from './use-stock-action'

/** What one does with a bottle: say what is left in it, or that it is gone. */
export function BottleActions({ id, code }: { id: string; code: number }) {
  const { run, pending, refused } = useStockAction()
  return (
    <span className="inline-flex items-end gap-1">
      <NumberEditor
        words="Count"
        label={`Count bottle ${code}`}
        field="ml left"
        onKeep={(ml) => countBottle(id, ml)}
      />
      <Button
        look="quiet"
        disabled={pending}
        aria-label={`Bottle ${code} is gone`}
        onClick={() => run(() => throwBottle(id))}
      >
        Gone
      </Button>
      {refused && (
        <span role="alert" className="font-semibold text-copper">
          {refused.message}
        </span>
      )}
    </span>
  )
}

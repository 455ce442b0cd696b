'use client'

import { useState, useTransition } from 'react'
import type { StockAnswer } from '@/server/stock/stock-actions'

/** Runs a change of the shelf and keeps what was refused, at its field, until the next. */
export function useStockAction() {
  const [refused, setRefused] = useState<Extract<StockAnswer, { kind: 'refused' }>>()
  const [pending, startTransition] = useTransition()
  const run = (action: () => Promise<StockAnswer>, onDone?: () => void) =>
    startTransition(async () => {
      const answer = await action().catch(
        (): StockAnswer => ({
          kind: 'refused',
          field: '',
          message: 'The server does not answer. Nothing was changed; try again.',
        }),
      )
      setRefused(answer.kind === 'refused' ? answer : undefined)
      if (answer.kind === 'done') onDone?.()
    })
  /** The error of a field, for `Field`; '' is what belongs to none. */
  const errorAt = (field: string) => (refused?.field === field ? { error: refused.message } : {})
  return { run, pending, refused, errorAt }
}

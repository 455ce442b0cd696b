'use client'

import { useState } from 'react'
import { later } from '@/ui/later'

// Seldom needed: it comes when it is asked for, or is fetched once the card stands.
const TakeBackDialog = later(() => import('./take-back-dialog').then(({ TakeBackDialog: dialog }) => dialog))

/** Takes a tick back, after asking once. */
export function TakeBack(step: { title: string; isDone: boolean; isLayer: boolean; onTake: () => void }) {
  const [asking, setAsking] = useState(false)
  return (
    <>
      <button
        type="button"
        className="min-h-11 px-2 text-sm underline decoration-ink-soft/50 underline-offset-4"
        aria-label={`Undo ${step.title}`}
        aria-haspopup="dialog"
        onClick={() => setAsking(true)}
      >
        undo
      </button>
      {asking && <TakeBackDialog {...step} onClosed={() => setAsking(false)} />}
    </>
  )
}

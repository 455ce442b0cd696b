'use client'

import { type ReactNode, useState } from 'react'
import { Button } from '@/ui/button'
import { ReasonField } from './reason-field'

type Props = {
  /** What speaks against it. */
  children: ReactNode
  /** What the button says that does it all the same. */
  words: string
  onReason: (reason: string) => void
  onLeave: () => void
}

/** Something is done though it should not be: only with a reason, which stays on the card. */
export function AskReason({ children, words, onReason, onLeave }: Props) {
  const [reason, setReason] = useState('')
  const [isMissing, setIsMissing] = useState(false)
  const go = () => {
    setIsMissing(reason.trim() === '')
    if (reason.trim() !== '') onReason(reason.trim())
  }
  return (
    <div className="w-full rounded border-2 border-copper p-4">
      <div className="text-copper">{children}</div>
      <div className="mt-3">
        <ReasonField
          label="Why anyway? It stays on the card"
          reason={reason}
          isMissing={isMissing}
          onChange={setReason}
        />
      </div>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button className="min-h-14 px-7 text-lg" look="outline" onClick={go}>
          {words}
        </Button>
        <Button className="min-h-14 px-7 text-lg" onClick={onLeave}>
          Cancel
        </Button>
      </div>
    </div>
  )
}

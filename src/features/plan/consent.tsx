'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { JobId } from '@/core/ids'
import { keepConsent } from '@/server/quotes/consent-actions'
import { useAction } from '@/ui/use-action'

/** What is only done where a spot was good and the customer has agreed: that they have, said here. */
export function Consent({ jobId, panel, agreed }: { jobId: JobId; panel: string; agreed: boolean }) {
  const router = useRouter()
  const { run, pending, refusal } = useAction()
  // As it was touched, until the plan comes back.
  const [touched, setTouched] = useState<boolean>()
  return (
    <div className="mt-2 border-l-4 border-copper bg-copper-soft px-3 py-1">
      <label className="flex min-h-11 items-center gap-3 text-[15px]">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-fern"
          checked={refusal ? agreed : (touched ?? agreed)}
          disabled={pending}
          onChange={({ target: { checked } }) => {
            setTouched(checked)
            run(keepConsent, { jobId, panel, agreed: checked }, () => router.refresh())
          }}
        />
        The customer knows it may haze for good, and agrees to two mild steps here.
      </label>
      {refusal && (
        <p role="alert" className="text-sm font-semibold text-copper">
          {refusal.message}
        </p>
      )}
    </div>
  )
}

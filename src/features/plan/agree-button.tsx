'use client'

import { useState, useTransition } from 'react'
import { agree } from '@/server/quotes/agree-actions'
import { Button } from '@/ui/button'

type Props = { jobId: string; packageKey: string; name: string; shownCents: number }

/** Agrees a package at the price that is on the screen. */
export function AgreeButton({ jobId, packageKey, name, shownCents }: Props) {
  const [pending, startTransition] = useTransition()
  const [message, setMessage] = useState<string>()
  return (
    <>
      <Button
        className="w-full"
        disabled={pending}
        onClick={() =>
          startTransition(async () => {
            const refusal = await agree(jobId, packageKey, shownCents)
            setMessage(refusal?.message)
          })
        }
      >
        {pending ? 'Placing it on the calendar…' : `Agree ${name}`}
      </Button>
      {message && (
        <p role="alert" className="mt-2 text-copper">
          {message}
        </p>
      )}
    </>
  )
}

'use client'

import { useState, useTransition } from 'react'
import { handJobOver } from '@/server/work/work-actions'
import { Button } from '@/ui/button'

export function HandOverButton({ jobId }: { jobId: string }) {
  const [pending, startTransition] = useTransition()
  const [message, setMessage] = useState<string>()
  return (
    <>
      <Button
        disabled={pending}
        onClick={() =>
          startTransition(async () => {
            const answer = await handJobOver(jobId)
            setMessage(answer.kind === 'refused' ? answer.message : undefined)
          })
        }
      >
        The customer has the car
      </Button>
      {message && (
        <p role="alert" className="text-copper">
          {message}
        </p>
      )}
    </>
  )
}

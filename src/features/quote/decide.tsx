'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { JobId } from '@/core/ids'
import { acceptQuote, declineQuote } from '@/server/quotes/quote-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

type Props = { jobId: JobId; version: number }

/** What the customer says to a version. A yes puts the car on the calendar; a no is asked for its reason once. */
export function Decide({ jobId, version }: Props) {
  const { run, pending, refusal } = useAction()
  const router = useRouter()
  return (
    <div className="space-y-2">
      <Button
        className="w-full"
        disabled={pending}
        onClick={() => run(acceptQuote, { jobId, version }, () => router.push(`/jobs/${jobId}/schedule`))}
      >
        {pending ? 'One moment…' : 'The customer accepts'}
      </Button>
      <Decline jobId={jobId} version={version} />
      <Refused refusal={refusal} />
    </div>
  )
}

/** A no, and perhaps why. */
export function Decline({ jobId, version }: Props) {
  const { run, pending, refusal } = useAction()
  const [declining, setDeclining] = useState(false)
  const [words, setWords] = useState('')
  if (!declining)
    return (
      <Button look="quiet" className="w-full" onClick={() => setDeclining(true)}>
        They decline
      </Button>
    )
  return (
    <div className="space-y-2">
      <Field label="What did they say?" hint="Leave it empty where they gave no reason.">
        <input className="field" value={words} onChange={(event) => setWords(event.target.value)} />
      </Field>
      <Button
        look="outline"
        className="w-full"
        disabled={pending}
        onClick={() => run(declineQuote, { jobId, version, words })}
      >
        Save the reason
      </Button>
      <Refused refusal={refusal} />
    </div>
  )
}

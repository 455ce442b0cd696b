'use client'

import { useState, useTransition } from 'react'
import { acceptQuote, declineQuote } from '@/server/quotes/quote-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'

/** What the customer says to a version. A yes puts the car on the calendar; a no is asked for its reason once. */
export function Decide({ jobId, version }: { jobId: string; version: number }) {
  const [pending, startTransition] = useTransition()
  const [message, setMessage] = useState<string>()
  const [declining, setDeclining] = useState(false)
  const [words, setWords] = useState('')
  const silent = () => ({ message: 'The server does not answer. Nothing was written; try again.' })
  return (
    <div className="space-y-2">
      <Button
        className="w-full"
        disabled={pending}
        onClick={() => startTransition(async () => setMessage((await acceptQuote(jobId, version))?.message))}
      >
        {pending ? 'One moment…' : 'The customer accepts'}
      </Button>
      {declining ? (
        <div className="space-y-2">
          <Field label="What did they say?" hint="Leave it empty where they gave no reason.">
            <input className="field" value={words} onChange={(event) => setWords(event.target.value)} />
          </Field>
          <Button
            look="outline"
            className="w-full"
            disabled={pending}
            onClick={() =>
              startTransition(async () => {
                const refusal = await declineQuote(jobId, version, words).catch(silent)
                setMessage(refusal?.message)
              })
            }
          >
            Write down the no
          </Button>
        </div>
      ) : (
        <Button look="quiet" className="w-full" onClick={() => setDeclining(true)}>
          They decline
        </Button>
      )}
      {message && (
        <p role="alert" className="text-copper">
          {message}
        </p>
      )}
    </div>
  )
}

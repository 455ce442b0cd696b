'use client'

import { useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import type { OwnerAnswer } from '@/server/aftercare/owner-wish'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'

async function ask(token: string, fromDay: string, words: string): Promise<OwnerAnswer> {
  const answer = await fetch(`/o/${token}/ask`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ fromDay, words }),
  }).catch(() => undefined)
  const told = (await answer?.json().catch(() => undefined)) as OwnerAnswer | undefined
  return told ?? { kind: 'refused', message: 'The shop does not answer. What you wrote stays; try again.' }
}

/** The one thing an owner can do here: say from when a visit would suit, and why. */
export function AskForVisit({ token, today }: { token: string; today: string }) {
  const router = useRouter()
  const [from, setFrom] = useState(today)
  const [words, setWords] = useState('')
  const [answer, setAnswer] = useState<OwnerAnswer>()
  const [pending, startTransition] = useTransition()
  return (
    <form
      className="mt-2 space-y-3"
      onSubmit={(event) => {
        event.preventDefault()
        startTransition(async () => {
          const told = await ask(token, from, words)
          setAnswer(told)
          if (told.kind === 'done') router.refresh()
        })
      }}
    >
      <Field label="From this day on it suits me">
        <input
          type="date"
          min={today}
          className="field"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
        />
      </Field>
      <Field label="What should we look at? (may be empty)">
        <input
          className="field"
          value={words}
          maxLength={300}
          onChange={(event) => setWords(event.target.value)}
        />
      </Field>
      <Button type="submit" disabled={pending}>
        {pending ? 'Asking …' : 'Ask'}
      </Button>
      {answer?.kind === 'refused' && (
        <p role="alert" className="font-semibold text-copper">
          {answer.message}
        </p>
      )}
    </form>
  )
}

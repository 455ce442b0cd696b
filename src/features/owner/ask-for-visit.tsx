'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Action, Answer } from '@/core/answer'
import type { LocalDay } from '@/core/time'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'

type Wish = { token: string; fromDay: string; words: string }

/** Asked over a route of its own: from an owner's page no action of the shop can be called. */
const ask: Action<Wish, null> = async ({ key, input: { token, ...wish } }) => {
  const answer = await fetch(`/o/${token}/ask`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ key, ...wish }),
  })
  return (await answer.json()) as Answer<null>
}

/** The one thing an owner can do here: say from when a visit would suit, and why. */
export function AskForVisit({ token, today }: { token: string; today: LocalDay }) {
  const router = useRouter()
  const [from, setFrom] = useState<string>(today)
  const [words, setWords] = useState('')
  const { run, pending, refusal } = useAction()
  return (
    <form
      className="mt-2 space-y-3"
      onSubmit={(event) => {
        event.preventDefault()
        run(ask, { token, fromDay: from, words }, () => router.refresh())
      }}
    >
      <Field label="From this day on it suits me">
        <DayInput min={today} value={from} onChange={setFrom} />
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
      {refusal && (
        <p role="alert" className="font-semibold text-copper">
          {refusal.message}
        </p>
      )}
    </form>
  )
}

'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Action, Answer } from '@/core/answer'
import type { LocalDay } from '@/core/time'
import { ownerWords } from '@/text/owner'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

/** What the shop can answer to a wish, beside not answering at all. */
const REFUSED = new Set<string>(['gone', 'input', 'stale'])

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
  const { visit, refused } = ownerWords(useRegion())
  const router = useRouter()
  const [from, setFrom] = useState<string>(today)
  const [wish, setWish] = useState('')
  const { run, pending, refusal } = useAction()
  return (
    <form
      className="mt-2 space-y-3"
      onSubmit={(event) => {
        event.preventDefault()
        run(ask, { token, fromDay: from, words: wish }, () => router.refresh())
      }}
    >
      <Field label={visit.from}>
        <DayInput min={today} value={from} onChange={setFrom} />
      </Field>
      <Field label={visit.what}>
        <input
          className="field"
          value={wish}
          maxLength={300}
          onChange={(event) => setWish(event.target.value)}
        />
      </Field>
      <Button type="submit" disabled={pending}>
        {pending ? visit.asking : visit.ask}
      </Button>
      {refusal && (
        <p role="alert" className="font-semibold text-copper">
          {REFUSED.has(refusal.code) ? refused[refusal.code as keyof typeof refused] : refused.other}
        </p>
      )}
    </form>
  )
}

'use client'

import { useRef, useState, useTransition } from 'react'
import { type Action, type Answer, type Refusal, refuse } from '@/core/answer'
import { freshKey } from './fresh-key'

/** The shop was not reached, or the line broke before it answered: whether it was done is not known here. */
export const UNREACHED: Refusal = refuse(
  'unreached',
  'The shop does not answer. What you typed is still here; try again, and it is done only once.',
)

/** Calls an action; a broken line is an answer too. */
export const reach = <Value>(asked: Promise<Answer<Value>>): Promise<Answer<Value>> =>
  asked.catch((): Answer<Value> => UNREACHED)

/**
 * Runs one action from a page. Every intention has a key of its own, kept while the same thing is tried again, so that neither a
 * lost answer nor a double tap does it twice. What was refused stays to be read until the next try.
 */
export function useAction<Input, Value>(action: Action<Input, Value>) {
  const [pending, startTransition] = useTransition()
  const [refusal, setRefusal] = useState<Refusal>()
  const unanswered = useRef<{ key: string; input: string } | undefined>(undefined)
  const running = useRef(false)

  /** Does it; `then` gets what it gave. A call while one is under way is dropped. */
  const run = (input: Input, then?: (value: Value) => void) => {
    if (running.current) return
    running.current = true
    const text = JSON.stringify(input)
    if (unanswered.current?.input !== text) unanswered.current = { key: freshKey(), input: text }
    const { key } = unanswered.current
    startTransition(async () => {
      const answer = await reach(action({ key, input }))
      running.current = false
      if (answer.ok || answer.code !== 'unreached') unanswered.current = undefined
      startTransition(() => {
        setRefusal(answer.ok ? undefined : answer)
        if (answer.ok) then?.(answer.value)
      })
    })
  }

  /** The error of a field, for `Field`; '' is what belongs to none. */
  const errorAt = (field: string) => (refusal?.field === field ? { error: refusal.message } : {})
  return { run, pending, refusal, errorAt, clear: () => setRefusal(undefined) }
}

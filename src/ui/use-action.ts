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

/** Does an action once, under a key of its own; for what is sent again as a new version when it did not arrive. */
export const act = <Input, Value>(action: Action<Input, Value>, input: Input): Promise<Answer<Value>> =>
  reach(action({ key: freshKey(), input }))

/**
 * Runs actions from a page, one at a time. Every intention has a key of its own, kept while the same thing is tried again, so that neither a
 * lost answer nor a double tap does it twice. What was refused stays to be read until the next try.
 */
export function useAction() {
  const [pending, startTransition] = useTransition()
  const [refusal, setRefusal] = useState<Refusal>()
  const [isDone, setIsDone] = useState(false)
  const unanswered = useRef<{ key: string; action: unknown; input: string } | undefined>(undefined)
  const running = useRef(false)

  /**
   * Does it; `then` gets what it gave. A call while one is under way is dropped. `keep` may take over what the shop could not be
   * told, under its key.
   */
  const run = <Input, Value>(
    action: Action<Input, Value>,
    input: Input,
    then?: (value: Value) => void,
    keep?: (key: string) => boolean,
  ) => {
    if (running.current) return
    running.current = true
    const text = JSON.stringify(input)
    if (unanswered.current?.action !== action || unanswered.current.input !== text)
      unanswered.current = { key: freshKey(), action, input: text }
    const { key } = unanswered.current
    startTransition(async () => {
      const answer = await reach(action({ key, input }))
      running.current = false
      const isKept = !answer.ok && answer.code === 'unreached' && (keep?.(key) ?? false)
      if (answer.ok || answer.code !== 'unreached' || isKept) unanswered.current = undefined
      startTransition(() => {
        if (isKept) return setRefusal(undefined)
        setRefusal(answer.ok ? undefined : answer)
        setIsDone(answer.ok)
        if (answer.ok) then?.(answer.value)
      })
    })
  }

  /** The error of a field, for `Field`; '' is what belongs to none. */
  const errorAt = (field: string) => (refusal?.field === field ? { error: refusal.message } : {})
  /** Something has been typed since: what was said of the last try no longer holds. */
  const clear = () => {
    setRefusal(undefined)
    setIsDone(false)
  }
  return { run, pending, refusal, isDone, errorAt, clear }
}

'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import type { Action } from '@/core/answer'
import { useAction } from '@/ui/use-action'
import { useQueue } from './this-device'

/** An action that may wait on the device: by its name in the journal, and in words for whoever reads why it was refused. */
export type CarAction<Input, Value> = { action: Action<Input, Value>; name: string; about: string }

/**
 * Runs actions of a page at the car. Where the shop is out of reach one waits in the queue of the device, under the key it was tried with:
 * so it is done once, whether or not the first try arrived. `own` are the actions this page has; what waits of them is told, also
 * after a reload, and once it is with the shop the page is read anew.
 */
export function useCarAction(own: readonly { name: string }[]) {
  const { queue, state } = useQueue()
  const { run: tryTo, ...rest } = useAction()
  const [kept, setKept] = useState<readonly string[]>([])
  const router = useRouter()
  const run = <Input, Value>(
    { action, name, about }: CarAction<Input, Value>,
    input: Input,
    then?: (value: Value | undefined) => void,
  ) =>
    tryTo(action, input, then, (key) => {
      if (!queue || queue.getState().forgetful) return false
      void queue.add({ id: key, kind: 'call', action: name, input, about })
      setKept((before) => [...before, key])
      then?.(undefined)
      return true
    })
  const waiting = state.waiting.filter(
    (entry) => entry.kind === 'call' && own.some(({ name }) => name === entry.action),
  ).length
  const before = useRef(0)
  useEffect(() => {
    if (waiting < before.current) router.refresh()
    before.current = waiting
  }, [waiting, router])
  const refused = state.refused.find(({ id }) => kept.includes(id))
  return {
    ...rest,
    run,
    /** What is kept on the device, or came back from it. */
    notice:
      waiting > 0
        ? `No network. ${waiting === 1 ? 'This is' : `${waiting} entries are`} kept on this tablet and sent when it is back.`
        : undefined,
    refusal:
      rest.refusal ??
      (refused && refused.why.kind === 'words'
        ? { ok: false as const, code: 'rule' as const, field: '', message: refused.why.message }
        : undefined),
  }
}

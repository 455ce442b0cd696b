'use client'

import { useState } from 'react'
import type { Action } from '@/core/answer'
import { useAction } from '@/ui/use-action'
import { useQueue } from './this-device'

/** An action that may wait on the device: by its name in the journal, and in words for whoever reads why it was refused. */
export type CarAction<Input, Value> = { action: Action<Input, Value>; name: string; about: string }

/**
 * Runs an action at the car. Where the shop is out of reach it waits in the queue of the device, under the key it was tried with: so
 * it is done once, whether or not the first try arrived.
 */
export function useCarAction() {
  const { queue, state } = useQueue()
  const { run: tryTo, ...rest } = useAction()
  const [kept, setKept] = useState<readonly string[]>([])
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
  const waiting = state.waiting.filter(({ id }) => kept.includes(id)).length
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
